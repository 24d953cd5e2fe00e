import type { Sample, Trace } from './attempt.ts'

/** What a sample is kept in: milliseconds, hundredths of a mm, thousandths of a squeeze, hundredths of an opening, milliradians. */
const UNITS = { t: 1000, x: 100, y: 100, squeeze: 1000, height: 100, nail: 1000 } as const
const columns = ['t', 'x', 'y', 'squeeze', 'height', 'nail'] as const

/** Samples closer together than this add nothing, s: a pointer may report a thousand a second. */
export const LEAST_APART_S = 1 / 125

/** A sample as it will be read again: what is judged is what is kept. */
export const kept = (sample: Sample): Sample => {
  const out = { ...sample }
  // nothing times a negative is a negative nothing, which is read again as nothing
  for (const column of columns) out[column] = Math.round(sample[column] * UNITS[column]) / UNITS[column] + 0
  return out
}

/**
 * A try's samples in few bytes, as text: of each column the step from the sample before, in the units above, as a
 * zigzag number of as many seven-bit groups as it needs; `down` as a column of its own; all of it in base64.
 */
export function pack(trace: Trace): string {
  const bytes: number[] = []
  number(bytes, trace.length)
  for (const column of columns) {
    let before = 0
    for (const sample of trace) {
      const now = Math.round(sample[column] * UNITS[column])
      signed(bytes, now - before)
      before = now
    }
  }
  for (const { down } of trace) bytes.push(down ? 1 : 0)
  let text = ''
  for (let i = 0; i < bytes.length; i += 4096) text += String.fromCharCode(...bytes.slice(i, i + 4096))
  return btoa(text)
}

/** Reads what `pack` wrote. @throws RangeError when it is not that. */
export function unpack(text: string): Sample[] {
  const bytes = Uint8Array.from(atob(text), (c) => c.charCodeAt(0))
  let at = 0
  const next = (): number => {
    let [value, shift] = [0, 1]
    for (;;) {
      const byte = bytes[at++]
      if (byte === undefined) throw new RangeError('The trace of this try is cut short.')
      value += (byte & 127) * shift
      if (byte < 128) return value
      shift *= 128
    }
  }
  const count = next()
  if (count > bytes.length) throw new RangeError('The trace of this try is cut short.')
  const samples: Sample[] = Array.from({ length: count }, () => ({
    ...{ t: 0, x: 0, y: 0, squeeze: 0, height: 0, nail: 0, down: false },
  }))
  for (const column of columns) {
    let before = 0
    for (const sample of samples) {
      const zigzag = next()
      before += zigzag % 2 ? -(zigzag + 1) / 2 : zigzag / 2
      sample[column] = before / UNITS[column]
    }
  }
  for (const sample of samples) sample.down = next() === 1
  return samples
}

const signed = (bytes: number[], value: number): void => number(bytes, value < 0 ? -2 * value - 1 : 2 * value)

function number(bytes: number[], value: number): void {
  let rest = value
  while (rest >= 128) {
    bytes.push((rest % 128) + 128)
    rest = Math.floor(rest / 128)
  }
  bytes.push(rest)
}
