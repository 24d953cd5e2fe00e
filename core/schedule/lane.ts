/**
 * What is taken of one thing that only one task can have at a time, the latest first. Tasks are placed from the last to the
 * first, so that most are added at the end.
 */
export class Lane {
  readonly from: number[] = []
  readonly to: number[] = []

  take(from: number, to: number): void {
    let at = this.from.length
    while (at > 0 && this.from[at - 1]! < from) at--
    this.from.splice(at, 0, from)
    this.to.splice(at, 0, to)
  }

  /** The latest end, no later than `end`, of a stretch so long that is free. */
  latest(end: number, minutes: number): number {
    let e = end
    for (let i = this.before(end); i < this.from.length; i++) {
      if (this.to[i]! <= e - minutes) break
      e = this.from[i]!
    }
    return e
  }

  /** Place of the first, counted from the latest, that begins before a moment. */
  before(moment: number): number {
    let low = 0
    let high = this.from.length
    while (low < high) {
      const mid = (low + high) >> 1
      if (this.from[mid]! >= moment) low = mid + 1
      else high = mid
    }
    return low
  }
}
