import type { ApexOptions } from 'apexcharts'
import { useMemo } from 'react'
import type { DayLoad } from '#core/timeline/load'
import { formatMinutes } from '#core/units'
import { Chart, useInk } from '../../parts/Chart.tsx'

const HEIGHT = 210
/** Orders are told apart by their grey and by the legend; no more are than eyes can. */
const GREYS = ['#474747', '#8a8a8a', '#bdbdbd', '#5f5f5f', '#a6a6a6', '#d6d6d6']
const GREYS_DARK = ['#d6d6d6', '#8f8f8f', '#5a5a5a', '#bdbdbd', '#747474', '#444444']

/** Minutes of hands that each order takes day by day, and how many there are. */
export function LoadChart(props: {
  loads: readonly DayLoad[]
  titleOf: (orderId: string) => string
  dayName: (day: number) => string
}) {
  const { loads, titleOf, dayName } = props
  const { dark, text: ink, paper } = useInk()
  const ids = useMemo(() => [...new Set(loads.flatMap((l) => l.byOrder.map((o) => o.orderId)))], [loads])
  const series = [
    ...ids.map((id) => ({
      name: titleOf(id),
      type: 'bar',
      data: loads.map((l) => hours(l.byOrder.find((o) => o.orderId === id)?.minutes ?? 0)),
    })),
    { name: 'Hands there are', type: 'line', data: loads.map((l) => hours(l.openMinutes)) },
  ]
  const options: ApexOptions = {
    chart: { stacked: true },
    colors: [...ids.map((_, i) => (dark ? GREYS_DARK : GREYS)[i % GREYS.length]!), ink],
    stroke: {
      width: [...ids.map(() => 1), 2],
      curve: 'stepline',
      colors: [...ids.map(() => paper), ink],
    },
    fill: { opacity: 1 },
    plotOptions: { bar: { columnWidth: '62%' } },
    dataLabels: { enabled: false },
    xaxis: {
      categories: loads.map((l) => (l.tooMuch > 0 ? [dayName(l.day), 'overfull'] : dayName(l.day))),
      axisTicks: { show: false },
    },
    yaxis: { title: { text: 'hours of hands' }, decimalsInFloat: 0, min: 0, forceNiceScale: true },
    tooltip: { y: { formatter: (value) => formatMinutes((value ?? 0) * 60) } },
    legend: { position: 'bottom', itemMargin: { horizontal: 8 } },
  }
  const said = loads
    .map(
      (l) =>
        `${dayName(l.day)} ${formatMinutes(l.byOrder.reduce((s, o) => s + o.minutes, 0))} of ${formatMinutes(l.openMinutes)}`,
    )
    .join('; ')
  return (
    <Chart said={`Load per day: ${said}`} type="line" height={HEIGHT} series={series} options={options} />
  )
}

const hours = (minutes: number) => Math.round((minutes / 60) * 100) / 100
