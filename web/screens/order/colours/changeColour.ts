import type { OrderColour } from '#core/model/order'

/** Changes one colour of the order, as one step that can be undone. */
export type ChangeColour = (part: Partial<OrderColour>, label: string) => void
