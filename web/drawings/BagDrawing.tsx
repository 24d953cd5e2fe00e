import { inkOn } from './shade.ts'

/** A colour in the bag and its share of the load, first the one at the wide end. */
export interface BagStripe {
  hex: string
  share: number
}

/**
 * A bag hanging point down, from the side: the load as it lies inside, filled as high as it is full, its tip in
 * the bag or on a coupler, its number above.
 */
export function BagDrawing(props: {
  number: number
  stripes: BagStripe[]
  /** How full the fullest filling is, 0..1 of what may go in. */
  fill: number
  coupler: 'none' | 'standard' | 'large'
  parchment: boolean
  cut: boolean
  width: number
  label: string
}) {
  const { number, stripes, coupler, parchment, cut, width } = props
  const [top, shoulder, point] = [18, 54, 168]
  const mouth = 44
  const tipAt = cut ? point + 14 : point
  // the icing's surface: a full bag stands at the shoulder, an almost empty one lies near the tip
  const depth = Math.max(0.12, Math.min(1, props.fill)) ** (1 / 3)
  const level = point - (point - shoulder) * depth
  const halfAt = (y: number) => 7 + ((mouth - 7) * (point - y)) / (point - top)
  let left = -1
  const half = halfAt(level)
  return (
    <svg
      viewBox="-52 0 104 200"
      width={width}
      role="img"
      aria-label={props.label}
      style={{ display: 'block' }}
    >
      <path
        d={`M-26 ${top}C-20 4 20 4 26 ${top}`}
        fill="var(--well)"
        stroke="var(--line-strong)"
        strokeWidth={1}
      />
      <path
        d={`M${-mouth} ${top}H${mouth}L${cut ? 1.5 : 7} ${tipAt}H${cut ? -1.5 : -7}Z`}
        fill={parchment ? '#ded8cd' : 'var(--well)'}
        stroke="var(--line-strong)"
        strokeWidth={1}
      />
      {stripes.map((stripe, i) => {
        const from = left
        left += 2 * stripe.share
        const bottom = cut ? 1.5 : 7
        return (
          <path
            // a load's stripes are known by their place
            // biome-ignore lint/suspicious/noArrayIndexKey: see above
            key={i}
            d={`M${from * half} ${level}L${left * half} ${level}L${left * bottom} ${tipAt}L${from * bottom} ${tipAt}Z`}
            fill={stripe.hex}
          />
        )
      })}
      <path
        d={`M${-mouth} ${top}L${cut ? -1.5 : -7} ${tipAt}M${mouth} ${top}L${cut ? 1.5 : 7} ${tipAt}`}
        stroke="var(--line-strong)"
        strokeWidth={1}
        fill="none"
      />
      {parchment && (
        <path d={`M-6 ${top}L${mouth - 14} ${top + 40}`} stroke="var(--line-strong)" strokeWidth={1} />
      )}
      <text
        x={0}
        y={top + 24}
        textAnchor="middle"
        fontSize={21}
        fontWeight={700}
        fontFamily="'Bricolage Grotesque Variable', sans-serif"
        fill={level < top + 26 ? inkOn(stripes[0]?.hex ?? '#ffffff') : parchment ? '#191919' : 'var(--text)'}
      >
        {number}
      </text>
      {!cut && coupler !== 'none' && (
        <rect
          x={coupler === 'large' ? -16 : -13}
          y={point - 8}
          width={coupler === 'large' ? 32 : 26}
          height={12}
          rx={2}
          fill="var(--card)"
          stroke="var(--text)"
        />
      )}
      {!cut && (
        <path
          d={`M-8 ${point + (coupler === 'none' ? 0 : 4)}H8L4 ${point + 26}H-4Z`}
          fill="#b5b5b5"
          stroke="#6e6e6e"
          strokeWidth={1}
        />
      )}
    </svg>
  )
}
