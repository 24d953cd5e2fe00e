/** A gain of so many minutes is something to decide, not a note. */
export const DECIDE_MINUTES = 15
