/** Adds colours to the order, as one step that can be undone. */
export type AddColours = (colours: readonly { name: string; hex: string }[], label: string) => void
