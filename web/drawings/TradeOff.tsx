import type { BagOffer } from '#core/plan/bagOffers'
import { Chart, useInk } from '../parts/Chart.tsx'

type Shown = Pick<BagOffer, 'bags' | 'changes' | 'washes' | 'wasteGrams'>

const HEIGHT = 260
const effort = (o: Shown) => o.changes + o.washes
const point = (o: Shown) => ({ x: effort(o), y: o.bags, z: Math.max(1, Math.round(o.wasteGrams)) })

/** An axis with room for a whole bubble at both ends, its marks on whole numbers. */
function roomFor(values: readonly number[]): { min: number; max: number; tickAmount: number } {
  const [least, most] = [Math.min(...values), Math.max(...values)]
  const step = Math.max(1, Math.ceil((most - least) / 3))
  return { min: least - step, max: least + 4 * step, tickAmount: 5 }
}

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
        {
          name: 'plans',
          data: all.map(point),
        },
      ]}
      options={{
        // pale, so that the words on them can be read in either room
        colors: [ink.line],
        fill: { opacity: 0.9 },
        stroke: { width: 1.5, colors: [ink.text] },
        legend: { show: false },
        dataLabels: {
          enabled: true,
          formatter: (_, { dataPointIndex }) =>
            dataPointIndex === offers.length ? 'now' : `${dataPointIndex + 1}`,
          style: { colors: [ink.text], fontSize: '13px', fontWeight: 700 },
        },
        plotOptions: { bubble: { minBubbleRadius: 9, maxBubbleRadius: 26 } },
        xaxis: {
          type: 'numeric',
          ...roomFor(efforts),
          decimalsInFloat: 0,
          title: { text: 'changes and washes', style: { color: ink.quiet, fontWeight: 400 } },
          labels: label,
        },
        yaxis: {
          ...roomFor(bags),
          decimalsInFloat: 0,
          title: { text: 'bags', style: { color: ink.quiet, fontWeight: 400 } },
          labels: label,
        },
        tooltip: { z: { title: 'g left in bags: ' } },
      }}
    />
  )
}
