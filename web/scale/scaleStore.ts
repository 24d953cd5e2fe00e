import { LineReader, type Reading, readLine } from '#core/scale/lines'
import type { ScaleDriver, ScaleLine } from './driver.ts'
import { serialDriver } from './serialDriver.ts'
import { simulatedDriver } from './simulatedDriver.ts'

export const scaleDrivers: readonly ScaleDriver[] = [serialDriver, simulatedDriver]

/** How it stands with the scale of this device. */
export type ScaleState =
  | { kind: 'off' }
  | { kind: 'opening' }
  | { kind: 'on'; reading: Reading | null; overload: boolean }
  /** It does not answer; what it said last is kept. */
  | { kind: 'gone'; why: string; last: Reading | null }

/** The one scale of a device, whoever looks at it. */
export class ScaleStore {
  #state: ScaleState = { kind: 'off' }
  #line: ScaleLine | null = null
  #driver: ScaleDriver | null = null
  readonly #listeners = new Set<() => void>()

  get state(): ScaleState {
    return this.#state
  }
  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener)
    return () => this.#listeners.delete(listener)
  }

  async open(driver: ScaleDriver): Promise<void> {
    this.close()
    this.#driver = driver
    this.#say({ kind: 'opening' })
    const reader = new LineReader()
    try {
      const line = await driver.open(
        (piece) => {
          for (const text of reader.take(piece)) this.#hear(text)
        },
        (why) => this.#lost(why),
      )
      this.#line = line
      if (this.#state.kind === 'opening') this.#say({ kind: 'on', reading: null, overload: false })
    } catch (error) {
      this.#say({ kind: 'gone', why: (error as Error).message, last: null })
    }
  }

  /** The same scale once more. */
  async again(): Promise<void> {
    if (this.#driver) await this.open(this.#driver)
  }

  close(): void {
    this.#line?.close()
    this.#line = null
    this.#say({ kind: 'off' })
  }

  async tare(): Promise<void> {
    try {
      await this.#line?.tare()
    } catch {
      this.#lost('The scale did not take the tare. Press it on the scale itself.')
    }
  }

  #hear(text: string): void {
    const line = readLine(text)
    if (line.kind === 'reading') this.#say({ kind: 'on', reading: line.reading, overload: false })
    if (line.kind === 'overload') this.#say({ kind: 'on', reading: null, overload: true })
  }

  #lost(why: string): void {
    const last = this.#state.kind === 'on' ? this.#state.reading : null
    this.#line?.close()
    this.#line = null
    this.#say({ kind: 'gone', why, last })
  }

  #say(state: ScaleState): void {
    this.#state = state
    for (const listener of this.#listeners) listener()
  }
}

export const scale = new ScaleStore()
