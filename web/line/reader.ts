/** Fetched by itself: the grammar, and the package that reads dates. */
export { readLine } from '#core/line/read'
export { vocabularyOf } from '#core/line/vocabulary'
