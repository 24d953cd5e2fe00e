import type { LogEntry } from '#core/model/logEntry'

/** Changes an entry under a name and a key to undo it by. */
export type Edit = (label: string, change: (entry: LogEntry) => LogEntry, key?: string) => void
