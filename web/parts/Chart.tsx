import type { ApexOptions } from 'apexcharts'
import { type ComponentProps, lazy, Suspense } from 'react'
import type ReactApexChart from 'react-apexcharts'
import { useWorkshop } from '../data/workshop.ts'

// the package is of the older kind of module: what it exports lies in what is imported
const Lazy = lazy(async () => {
  const module = (await import('react-apexcharts')) as unknown as { default: unknown }
  const inner = module.default as { default?: unknown }
  return { default: (inner.default ?? inner) as typeof ReactApexChart }
})

/** Greys that charts are drawn in, by the theme of the screen. */
export function useInk() {
  const dark = useWorkshop().workshop?.settings.theme === 'dark'
  return dark
    ? { dark, text: '#f1f1f1', quiet: '#b0b0b0', line: '#3c3c3c', paper: '#262626' }
    : { dark, text: '#191919', quiet: '#606060', line: '#e2e2e2', paper: '#ffffff' }
}

/** A chart that is read out in words, drawn without moving and without a toolbar. */
export function Chart(props: {
  said: string
  type: ComponentProps<typeof ReactApexChart>['type']
  height: number
  series: ApexOptions['series']
  options: ApexOptions
}) {
  const { said, type, height, series, options } = props
  const ink = useInk()
  return (
    <div role="img" aria-label={said} style={{ minHeight: height }}>
      <Suspense fallback={null}>
        <Lazy
          type={type}
          height={height}
          series={series}
          options={{
            ...options,
            chart: {
              ...{ toolbar: { show: false }, zoom: { enabled: false }, animations: { enabled: false } },
              fontFamily: 'inherit',
              foreColor: ink.quiet,
              ...options.chart,
            },
            grid: { borderColor: ink.line, padding: { left: 4, right: 4 }, ...options.grid },
            tooltip: { theme: ink.dark ? 'dark' : 'light', ...options.tooltip },
          }}
        />
      </Suspense>
    </div>
  )
}
