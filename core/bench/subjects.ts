/** What events of wrapping up are noted of, in the place of a step. */
export const WRAP_UP = 'wrap-up'
export const bowlSubject = (batchId: string): string => `${WRAP_UP} bowl ${batchId}`
export const bagSubject = (number: number): string => `${WRAP_UP} bag ${number}`
export const isWrapUp = (stepId: string): boolean => stepId === WRAP_UP || stepId.startsWith(`${WRAP_UP} `)
