import css from './Watch.module.css'

const HOURS = [12, 3, 6, 9]
const TICKS_DEG = Array.from({ length: 12 }, (_, i) => i * 30)

/** Where the back of the bag points, as on a clock that lies on the table; the piper sits at six. */
export function Dial({ clock, left }: { clock: number; left: boolean }) {
  const shown = left ? (12 - clock + 12) % 12 || 12 : clock
  const angle = (shown / 12) * 360
  return (
    <figure className={css.dial}>
      <svg viewBox="-50 -50 100 100" aria-hidden="true">
        <circle r="46" />
        {TICKS_DEG.map((deg) => (
          <line key={deg} y1="-46" y2="-41" transform={`rotate(${deg})`} />
        ))}
        {HOURS.map((hour) => {
          const at = (hour / 12) * 2 * Math.PI
          return (
            <text key={hour} x={Math.sin(at) * 32} y={-Math.cos(at) * 32 + 5}>
              {hour}
            </text>
          )
        })}
        <path d="M-3.5 0 L0 4 L3.5 0 L8 -40 L-8 -40 Z" transform={`rotate(${angle})`} />
        <circle r="4" className={css.hub} />
      </svg>
      <figcaption>bag, {clockWords(shown)}</figcaption>
    </figure>
  )
}

/** "half past 4", "3 o’clock". */
function clockWords(clock: number): string {
  const hour = Math.floor(clock) || 12
  return clock % 1 >= 0.5 ? `half past ${hour}` : `${hour} o’clock`
}
