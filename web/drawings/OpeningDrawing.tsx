import { type Opening, openingOutlines } from '#core/tips/index'

/** One colour of a load as it lies across the opening. */
export interface OpeningFill {
  hex: string
  /** Share of the slot's length this colour ends at, from the wide end. */
  until: number
}

/** Share of the box that an opening may fill. */
const ROOM = 0.84

/** Room beside a bare opening for its line and for the mark at its wide end. */
const BARE_MARGIN_PX = 10

/**
 * An opening end-on, to scale: `pxPerMm` on screen. The wide end of a slot lies at the left and is marked. In a box it
 * grows no larger than `box` px; bare, it is as large as it is.
 */
export function OpeningDrawing(
  props: {
    opening: Opening
    pxPerMm: number
    fills?: OpeningFill[]
    id: string
  } & ({ box: number; bare?: false } | { bare: true; box?: undefined }),
) {
  const { opening, id } = props
  const outlines = openingOutlines(opening)
  const points = outlines.flat()
  const xs = points.map((p) => p[0])
  const ys = points.map((p) => p[1])
  const [left, right] = [Math.min(...xs), Math.max(...xs)]
  const [low, high] = [Math.min(...ys), Math.max(...ys)]
  const across = Math.max(right - left, high - low)
  const scale = props.bare ? props.pxPerMm : Math.min(props.pxPerMm, (props.box * ROOM) / across)
  const [width, height] = props.bare
    ? [(right - left) * scale + 2 * BARE_MARGIN_PX, (high - low) * scale + BARE_MARGIN_PX]
    : [props.box, props.box]
  const cx = (left + right) / 2
  const cy = (low + high) / 2
  const tapered = opening.family === 'petal' || opening.family === 'curvedPetal'
  const fills = props.fills ?? [{ hex: '#8a8a8a', until: 1 }]
  const d = outlines
    .map((o) => `M${o.map(([x, y]) => `${x.toFixed(2)} ${(-y).toFixed(2)}`).join('L')}Z`)
    .join('')
  const span = right - left
  let from = left
  return (
    <svg
      width={width}
      height={height}
      viewBox={`${-width / 2} ${-height / 2} ${width} ${height}`}
      role="img"
      aria-label={`Opening${tapered ? ', wide end left' : ''}`}
    >
      {!props.bare && <circle r={width / 2 - 1} fill="var(--well)" stroke="var(--line)" />}
      <defs>
        <clipPath id={`${id}-open`}>
          <path d={d} />
        </clipPath>
      </defs>
      <g transform={`scale(${scale}) translate(${-cx} ${cy})`}>
        <g clipPath={`url(#${id}-open)`}>
          {fills.map((fill) => {
            const to = left + span * fill.until
            const rect = (
              <rect
                key={fill.until}
                x={from}
                y={-high - 1}
                width={Math.max(0, to - from) + 0.05}
                height={high - low + 2}
                fill={fill.hex}
              />
            )
            from = to
            return rect
          })}
        </g>
        <path d={d} fill="none" stroke="var(--text)" strokeWidth={0.9 / scale} strokeLinejoin="round" />
      </g>
      {tapered && <path d={`M${-((right - left) / 2) * scale - 3} 0l-5 -3.500v7z`} fill="var(--text)" />}
    </svg>
  )
}
