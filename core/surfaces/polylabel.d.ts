declare module 'polylabel' {
  /** The point of a polygon with holes that is furthest from its edges, to a precision; how far is its `distance`. */
  export default function polylabel(
    polygon: readonly (readonly [number, number][])[],
    precision?: number,
  ): [number, number] & { distance: number }
}
