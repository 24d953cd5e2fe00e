/**
 * How an address is changed that says what is opened beside a list: at once, because whoever types or presses next must reach what was
 * just opened. Left to itself a change of address waits until the machine has time, and what was opened before takes the press.
 */
export const AT_ONCE = { replace: true, flushSync: true } as const
