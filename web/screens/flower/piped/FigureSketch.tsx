import type { LessonFigure } from '#core/demonstration/lesson'
import css from './Piped.module.css'

/** A figure as a small drawing: an angle at its true size, a length as an arrow, a turn as an arc. */
export function FigureSketch({ figure }: { figure: LessonFigure }) {
  return (
    <svg viewBox="-30 -30 60 60" className={css.sketch} aria-hidden="true">
      {drawn(figure)}
    </svg>
  )
}

function drawn({ name, value }: LessonFigure) {
  switch (name) {
    case 'lean':
      return (
        <>
          <path d="M-24 24 H24" className={css.thin} />
          <path d="M0 24 V-24" className={css.dashed} />
          <path d="M0 24 V-20" className={css.thick} transform={`rotate(${value} 0 24)`} />
        </>
      )
    case 'lift':
    case 'rise':
      return (
        <>
          <path d="M-24 18 H24" className={css.thin} />
          <path d="M-20 18 H20" className={css.thick} transform={`rotate(${-value} -20 18)`} />
        </>
      )
    case 'start':
      return (
        <>
          <path d="M-24 24 H24" className={css.thin} />
          <path d="M-12 24 L-5 -20 H5 L12 24" className={css.thin} />
          <path d="M18 24 V4 M14 4 H24" className={css.thick} />
        </>
      )
    case 'turn':
      return (
        <>
          <circle r="22" className={css.thin} />
          <path d={arc(22, value)} className={css.thick} />
        </>
      )
    case 'wide':
      return (
        <>
          <path d="M-18 12 A18 20 0 0 1 18 12 Z" className={css.thin} />
          <path d="M-18 20 H18 M-18 16 V24 M18 16 V24" className={css.thick} />
        </>
      )
    case 'tall':
      return (
        <>
          <path d="M-22 20 A16 34 0 0 1 10 20 Z" className={css.thin} />
          <path d="M20 20 V-14 M16 20 H24 M16 -14 H24" className={css.thick} />
        </>
      )
    default:
      return <path d="M-24 8 H24 M-24 0 V16 M24 0 V16" className={css.thick} />
  }
}

/** From the near side round against the clock by so many degrees. */
function arc(r: number, deg: number): string {
  const shown = Math.min(359, deg)
  const end = ((90 - shown) * Math.PI) / 180
  return `M0 ${r} A${r} ${r} 0 ${shown > 180 ? 1 : 0} 0 ${(Math.cos(end) * r).toFixed(2)} ${(Math.sin(end) * r).toFixed(2)}`
}
