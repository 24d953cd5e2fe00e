import type { ExpectedDone } from '#core/logbook/kept'
import { Card } from '../../../parts/Card.tsx'
import { Chart, useInk } from '../../../parts/Chart.tsx'
import { Empty } from '../../../parts/states.tsx'

const HEIGHT = 280
/** The band that is drawn about "as expected": what a hand strays from one day to the next, two standard deviations. */
const BAND = 0.3

/** What was done against what was expected, an order a dot, with the line on which both are the same and the band about it. */
export function Scatter(props: {
  title: string
  about: string
  unit: string
  points: readonly ExpectedDone[]
}) {
  const { title, about, unit, points } = props
  const ink = useInk()
  if (points.length === 0)
    return (
      <Card title={title} aside={about}>
        <Empty title="Nothing to show yet">Nobody has told it of any order that is shown.</Empty>
      </Card>
    )
  const most = Math.max(...points.flatMap((p) => [p.expected, p.done])) * 1.1
  const line = (times: number) => [
    { x: 0, y: 0 },
    { x: Math.round(most), y: Math.round(most * times) },
  ]
  const within = points.filter((p) => Math.abs(p.done / p.expected - 1) <= BAND).length
  return (
    <Card title={title} aside={about}>
      <Chart
        said={`${title}: ${within} of ${points.length} orders within ${100 * BAND} percent of what was expected`}
        type="line"
        height={HEIGHT}
        series={[
          {
            name: 'orders',
            type: 'scatter',
            data: points.map((p) => ({ x: Math.round(p.expected), y: Math.round(p.done) })),
          },
          { name: 'as expected', type: 'line', data: line(1) },
          { name: '30 % more', type: 'line', data: line(1 + BAND) },
          { name: '30 % less', type: 'line', data: line(1 - BAND) },
        ]}
        options={{
          colors: [ink.text, ink.text, ink.quiet, ink.quiet],
          stroke: { width: [0, 2, 1, 1], dashArray: [0, 0, 5, 5] },
          markers: { size: [6, 0, 0, 0], strokeColors: ink.paper },
          xaxis: {
            type: 'numeric',
            tickAmount: 6,
            min: 0,
            max: Math.round(most),
            title: { text: `expected, ${unit}` },
            decimalsInFloat: 0,
          },
          yaxis: { min: 0, title: { text: `done, ${unit}` }, decimalsInFloat: 0 },
          legend: { position: 'bottom' },
          tooltip: { shared: false, intersect: true },
        }}
      />
      <p className="quiet">
        {within} of {points.length} orders within 30 % of what was expected.
      </p>
    </Card>
  )
}
