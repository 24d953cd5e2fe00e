/** Raised when Kanten cannot start; the message says in a sentence or two what to do. */
export class StartError extends Error {}
