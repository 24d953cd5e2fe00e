/** A fresh id for something a person adds. */
export const newId = (): string => crypto.randomUUID()
