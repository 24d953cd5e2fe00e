import type { PlacedFlower } from '#core/model/order'

/** Changes a flower of a piece; a function gets it as it is by then. */
export type ChangeFlower = (
  label: string,
  part: Partial<PlacedFlower> | ((now: PlacedFlower) => Partial<PlacedFlower>),
) => void
