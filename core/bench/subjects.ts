/** What events are noted of that are of no step, in the place of one. */
export const WRAP_UP = 'wrap-up'
export const bowlSubject = (batchId: string): string => `${WRAP_UP} bowl ${batchId}`
export const bagSubject = (number: number): string => `${WRAP_UP} bag ${number}`
/** Whether the icing in a bag is still as it was. */
export const askedSubject = (number: number): string => `asked bag ${number}`
/** A rest of a pair of hands. */
export const restSubject = (by: string | null): string => `rest ${by ?? ''}`

const SUBJECTS = [WRAP_UP, 'asked bag ', 'rest ']
/** Whether something is noted of no step, so that it belongs to every plan. */
export const isSubject = (stepId: string): boolean => SUBJECTS.some((s) => stepId.startsWith(s))
