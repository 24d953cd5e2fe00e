import type { PracticeMark, PracticeTry } from '#core/model/practiceTry'
import { STEADY } from '#core/practice/advice'
import { FEW, progressOf, SLOPE_FROM } from '#core/practice/progress'
import { counted } from '#core/units'
import { Card } from '../../parts/Card.tsx'
import { Chart, useInk } from '../../parts/Chart.tsx'
import { Earlier } from './Earlier.tsx'

/** How a drill goes over time: every try, the last five against the first. */
export function Getting({ marks, shown }: { marks: readonly PracticeMark[]; shown: PracticeTry | null }) {
  const ink = useInk()
  const { tries, first, last, halvesAfter, inTheHand } = progressOf(marks)
  if (tries === 0) return null
  const point = (m: PracticeMark, i: number) => ({ x: i + 1, y: Math.round(m.marks) })
  const [olds, betweens, lasts] = [
    marks.slice(0, FEW).map(point),
    marks.map(point).slice(FEW, Math.max(FEW, tries - FEW)),
    marks.map(point).slice(Math.max(FEW, tries - FEW)),
  ]
  const says =
    first === null || last === null
      ? `${counted(tries, 'try', 'tries')}; the first five are compared with the last five once there are ten`
      : `first five ${Math.round(first)}, last five ${Math.round(last)}`
  return (
    <Card
      title="Getting there"
      aside={`${counted(tries, 'try', 'tries')}${tries < SLOPE_FROM ? `; trend from ${SLOPE_FROM}` : ''}`}
    >
      <Chart
        said={`Marks of each try: ${says}`}
        type="scatter"
        height={170}
        series={[
          { name: 'First five', data: olds },
          { name: 'Between', data: betweens },
          { name: 'Last five', data: lasts },
        ]}
        options={{
          colors: [ink.paper, ink.line, ink.text],
          markers: { size: 6, strokeColors: ink.text, strokeWidth: 1.5 },
          legend: { show: false },
          xaxis: {
            type: 'numeric',
            min: 0,
            max: tries + 1,
            tickAmount: Math.min(tries + 1, 6),
            decimalsInFloat: 0,
            title: { text: 'try' },
          },
          yaxis: { min: 0, max: 100, tickAmount: 4, decimalsInFloat: 0, title: { text: 'marks' } },
          annotations: {
            yaxis: [
              {
                y: STEADY,
                borderColor: ink.quiet,
                label: {
                  text: `steady from ${STEADY}`,
                  borderWidth: 0,
                  style: { background: 'transparent', color: ink.quiet },
                },
              },
            ],
          },
        }}
      />
      <p>
        {says}.
        {halvesAfter !== null &&
          ` What is missing halves each time you have piped it ${halvesAfter < 20 ? `${halvesAfter.toFixed(1)} times` : 'many times'} as often.`}
        {inTheHand && ' It is in your hand: three steady ones on two days.'}
      </p>
      <Earlier marks={marks} shown={shown} />
    </Card>
  )
}
