/** An open line to a scale. */
export interface ScaleLine {
  /** Sets what lies on the plate to nothing. */
  tare(): Promise<void>
  close(): void
}

/** One way to speak to a scale. */
export interface ScaleDriver {
  id: 'serial' | 'simulated'
  name: string
  /** Whether this browser has what it takes. */
  isHere(): boolean
  /**
   * @param hear a piece of what the scale sends, as it comes.
   * @param gone the line has broken: unplugged, switched off, or taken by another program.
   * @throws Error in words when it cannot be opened.
   */
  open(hear: (piece: string) => void, gone: (why: string) => void): Promise<ScaleLine>
}
