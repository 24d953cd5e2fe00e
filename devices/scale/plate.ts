/** A kitchen scale as it behaves: it takes a moment to come to rest, never stands quite still, and creeps over the hours. */
export class Plate {
  /** What lies on it, g. */
  loadGrams = 0
  /** Shaking of the bench, g either way. */
  noiseGrams = 0.4
  /** Creep, g a minute. */
  driftGrams = 0
  /** A mixer runs beside it: it does not come to rest. */
  shaken = false
  plugged = true
  #shown = 0
  #crept = 0
  #tared = 0
  #taring = false
  #movedAt = 0
  readonly #random: () => number

  constructor(random: () => number = Math.random) {
    this.#random = random
  }

  /** Time goes on. @param now ms. */
  tick(now: number, passedMs: number): void {
    this.#crept += (this.driftGrams * passedMs) / 60_000
    const aim = this.loadGrams + this.#crept
    if (Math.abs(aim - this.#shown) > MOVES_GRAMS) this.#movedAt = now
    // a spring with a damper comes near by the same share in the same time
    this.#shown += (aim - this.#shown) * (1 - Math.exp(-passedMs / SETTLES_MS))
    if (this.#taring && this.#rests(now)) {
      this.#tared = this.#shown
      this.#taring = false
    }
  }

  /** What lies on it counts for nothing, as soon as it has come to rest. */
  tare(): void {
    this.#taring = true
  }

  #rests(now: number): boolean {
    return !this.shaken && now - this.#movedAt > REST_MS
  }

  /** What it sends. @param now ms. */
  line(now: number): string {
    const shaking = (this.#random() * 2 - 1) * (this.shaken ? SHAKEN_GRAMS : this.noiseGrams)
    const total = this.#shown + shaking
    if (total > MOST_GRAMS) return 'OL,GS,+9999,g'
    const grams = Math.round((total - this.#tared) / STEP_GRAMS) * STEP_GRAMS
    return `${this.#rests(now) ? 'ST' : 'US'},${this.#tared === 0 ? 'GS' : 'NT'},${grams < 0 ? '-' : '+'}${String(Math.abs(grams)).padStart(6)},g`
  }
}

const STEP_GRAMS = 1
const MOST_GRAMS = 5000
const SETTLES_MS = 180
/** Still this far from rest, it calls itself moving, g. */
const MOVES_GRAMS = 0.5
const REST_MS = 500
const SHAKEN_GRAMS = 6
