import { useSyncExternalStore } from 'react'

let needed = false
const listeners = new Set<() => void>()

function become(next: boolean): void {
  if (needed === next) return
  needed = next
  for (const listener of listeners) listener()
}

/** The server has asked for the passphrase: the page asks the person. */
export const askForPassphrase = () => become(true)
/** It has been given. */
export const passphraseGiven = () => become(false)

export function usePassphraseNeeded(): boolean {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    () => needed,
  )
}
