import { type Opening, openingOutlines } from '#core/tips/index'

/** One colour of a load as it lies across the opening. */
export interface OpeningFill {
  hex: string
  /** Share of the slot's length this colour ends at, from the wide end. */
  until: number
}

/** Share of the box that an opening may fill. */
const ROOM = 0.84

/**
 * An opening end-on, to scale: `pxPerMm` on screen. The wide end of a slot lies at the left and is marked. Grows
 * no larger than `box` px, and says so when it had to be drawn smaller.
 */
export function OpeningDrawing(props: {
  opening: Opening
  box: number
  pxPerMm: number
  fills?: OpeningFill[]
  /** Takes a larger box rather than a smaller scale: true size is only true when it is. */
  grow?: boolean
  id: string
}) {
  const { opening, id } = props
  const outlines = openingOutlines(opening)
  const points = outlines.flat()
  const xs = points.map((p) => p[0])
  const ys = points.map((p) => p[1])
  const [left, right] = [Math.min(...xs), Math.max(...xs)]
  const [low, high] = [Math.min(...ys), Math.max(...ys)]
  const across = Math.max(right - left, high - low)
  const box = props.grow ? Math.max(props.box, Math.ceil((across * props.pxPerMm) / ROOM)) : props.box
  const room = box * ROOM
  const fit = room / across
  const scale = Math.min(props.pxPerMm, fit)
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
      width={box}
      height={box}
      viewBox={`${-box / 2} ${-box / 2} ${box} ${box}`}
      role="img"
      aria-label={`Opening${tapered ? ', wide end left' : ''}`}
    >
      <circle r={box / 2 - 1} fill="var(--well)" stroke="var(--line)" />
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
