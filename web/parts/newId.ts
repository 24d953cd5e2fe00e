import { v4 } from 'uuid'

/** A fresh id for something a person adds; also where the browser gives none, because the page came over plain http. */
export const newId = (): string => v4()
