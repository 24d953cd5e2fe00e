import type { Ideal } from '#core/practice/ideal'
import css from './Sheet.module.css'

/** The nail under a drill, with its mark. */
export function NailDisc({ ideal: { drill }, pxPerMm }: { ideal: Ideal; pxPerMm: number }) {
  const { middle, radiusMm } = drill.nail!
  return (
    <svg className={css.layer} width={drill.wide * pxPerMm} height={drill.high * pxPerMm} aria-hidden="true">
      <g transform={`scale(${pxPerMm})`}>
        <circle cx={middle.x} cy={middle.y} r={radiusMm} className={css.nail} />
        <rect x={middle.x - 0.7} y={middle.y - radiusMm} width={1.4} height={4} className={css.nailMark} />
      </g>
    </svg>
  )
}
