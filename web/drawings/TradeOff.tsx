import type { BagOffer } from '#core/plan/bagOffers'
import { Chart, useInk } from '../parts/Chart.tsx'

type Shown = Pick<BagOffer, 'bags' | 'changes' | 'washes' | 'wasteGrams'>

const HEIGHT = 260
const effort = (o: Shown) => o.changes + o.washes
const point = (o: Shown) => ({ x: effort(o), y: o.bags, z: Math.max(1, Math.round(o.wasteGrams)) })

/**
 * Plans as points: bags upwards, changes and washes to the right, the bubble as large as what is left in bags. `chosen`
 * is the plan as it stands.
 */
export function TradeOff({ offers, chosen }: { offers: readonly Shown[]; chosen: Shown }) {
  const ink = useInk()
  const all = [...offers, chosen]
  const bags = all.map((o) => o.bags)
  const efforts = all.map(effort)
  const label = { style: { colors: ink.quiet, fontSize: '12px' } }
  return (
    <Chart
      type="bubble"
      height={HEIGHT}
      said={`Plans found: ${offers.map((o) => `${o.bags} bags, ${effort(o)} changes and washes`).join('; ')}. As it stands: ${chosen.bags} bags, ${effort(chosen)} changes and washes.`}
      series={[
        ...offers.map((o, i) => ({ name: `${i + 1}`, data: [point(o)] })),
        { name: 'now', data: [point(chosen)] },
      ]}
      options={{
        colors: [...offers.map(() => ink.quiet), ink.text],
        fill: { opacity: 0.18 },
        stroke: { width: 1.5, colors: [...offers.map(() => ink.quiet), ink.text] },
        legend: { show: false },
        dataLabels: {
          enabled: true,
          formatter: (_, { seriesIndex }) => (seriesIndex === offers.length ? 'now' : `${seriesIndex + 1}`),
          style: { colors: [ink.text], fontSize: '13px', fontWeight: 700 },
        },
        plotOptions: { bubble: { minBubbleRadius: 9, maxBubbleRadius: 26 } },
        xaxis: {
          type: 'numeric',
          min: Math.min(...efforts) - 2,
          max: Math.max(...efforts) + 2,
          decimalsInFloat: 0,
          title: { text: 'changes and washes', style: { color: ink.quiet, fontWeight: 400 } },
          labels: label,
        },
        yaxis: {
          min: Math.min(...bags) - 1,
          max: Math.max(...bags) + 1,
          forceNiceScale: true,
          decimalsInFloat: 0,
          title: { text: 'bags', style: { color: ink.quiet, fontWeight: 400 } },
          labels: label,
        },
        tooltip: { z: { title: 'g left in bags: ' } },
      }}
    />
  )
}
