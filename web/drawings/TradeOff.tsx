import type { BagOffer } from '#core/plan/bagOffers'

const [WIDTH, HEIGHT, LEFT, BOTTOM] = [440, 210, 44, 36]

/**
 * Plans as points: bags upwards, changes and washes to the right, the ring as large as what is left in bags. `chosen`
 * is the plan as it stands.
 */
export function TradeOff(props: {
  offers: readonly Pick<BagOffer, 'id' | 'bags' | 'changes' | 'washes' | 'wasteGrams'>[]
  chosen: Pick<BagOffer, 'bags' | 'changes' | 'washes' | 'wasteGrams'>
}) {
  const { offers, chosen } = props
  const all = [...offers, chosen]
  const effort = (o: { changes: number; washes: number }) => o.changes + o.washes
  const [fewest, most] = range(all.map((o) => o.bags))
  const [least, heaviest] = range(all.map(effort))
  const x = (o: { changes: number; washes: number }) =>
    LEFT + 30 + ((effort(o) - least) / Math.max(1, heaviest - least)) * (WIDTH - LEFT - 70)
  const y = (o: { bags: number }) =>
    HEIGHT - BOTTOM - 26 - ((o.bags - fewest) / Math.max(1, most - fewest)) * (HEIGHT - BOTTOM - 62)
  const r = (o: { wasteGrams: number }) => 6 + Math.sqrt(o.wasteGrams) * 0.8
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      role="img"
      aria-label={`Plans found: ${offers.map((o) => `${o.bags} bags, ${effort(o)} changes and washes`).join('; ')}. As it stands: ${chosen.bags} bags, ${effort(chosen)} changes and washes.`}
    >
      <path
        d={`M${LEFT} 10V${HEIGHT - BOTTOM}H${WIDTH - 6}`}
        fill="none"
        stroke="var(--line-strong)"
        strokeWidth={1}
      />
      <text x={LEFT - 8} y={20} textAnchor="end" fontSize={12} fill="var(--quiet)">
        bags
      </text>
      <text x={WIDTH - 6} y={HEIGHT - BOTTOM + 28} textAnchor="end" fontSize={12} fill="var(--quiet)">
        changes and washes →
      </text>
      <text x={LEFT} y={HEIGHT - BOTTOM + 28} fontSize={12} fill="var(--quiet)">
        ring: icing left in bags
      </text>
      {[...new Set(all.map((o) => o.bags))].map((bags) => (
        <text key={bags} x={LEFT - 8} y={y({ bags }) + 4} textAnchor="end" fontSize={12} fill="var(--text)">
          {bags}
        </text>
      ))}
      {offers.map((o, i) => (
        <g key={o.id}>
          <circle cx={x(o)} cy={y(o)} r={r(o)} fill="none" stroke="var(--text)" strokeWidth={1.4} />
          <text x={x(o)} y={y(o) + 4} textAnchor="middle" fontSize={12} fontWeight={700} fill="var(--text)">
            {i + 1}
          </text>
          <text x={x(o)} y={HEIGHT - BOTTOM + 14} textAnchor="middle" fontSize={12} fill="var(--text)">
            {effort(o)}
          </text>
        </g>
      ))}
      <path d={`M${x(chosen) - 5} ${y(chosen) - r(chosen) - 12}h10l-5 8z`} fill="var(--text)" />
      <text x={x(chosen) + 9} y={y(chosen) - r(chosen) - 4} fontSize={12} fill="var(--text)">
        now
      </text>
    </svg>
  )
}

const range = (values: readonly number[]): [number, number] => [Math.min(...values), Math.max(...values)]
