import { changedMeanwhile } from '../problems.ts'

/** Refuses a change based on another version than the stored one. `seen` 0 means "not stored yet". */
export function sameVersion(stored: { version: number } | null, seen: number): void {
  if ((stored?.version ?? 0) !== seen) throw changedMeanwhile()
}
