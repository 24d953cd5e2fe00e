import { momentOf } from '#core/timeline/clock'
import type { Timetable } from '#core/timeline/timetable'
import { stayWords } from '#core/timeline/words'
import { useCalendar } from '../parts/calendar.ts'
import css from './Bands.module.css'
import type { BandLayout } from './layout.ts'

/** Time that passes by itself: what freezes, firms, dries and is kept, and the hand's rests. */
export function Passive(props: {
  layout: BandLayout
  rests: Timetable['rests']
  box(of: { from: number; to: number }): { left: number; width: number }
}) {
  const { layout, rests, box } = props
  const { clock } = useCalendar()
  const at = (minute: number) => clock(momentOf(minute))
  return (
    <>
      {layout.stays.map((s) => (
        <div
          key={`${s.place} ${s.kind} ${s.orderId} ${s.taskId ?? s.what} ${s.from}`}
          className={css.stay}
          data-kind={s.kind}
          title={`${s.what}: ${stayWords(s)}, ${at(s.from)} to ${at(s.to)}`}
          style={{ ...box(s), top: s.top, height: s.height }}
        >
          <StayWords
            all={`${s.what}: ${stayWords(s)}`}
            short={s.kind === 'kept' ? '' : stayWords(s)}
            width={box(s).width}
          />
        </div>
      ))}
      {rests.map((r) => (
        <div
          key={`${r.hand} ${r.from}`}
          className={css.rest}
          title={`The hand rests from ${at(r.from)} to ${at(r.to)}`}
          style={{ ...box(r), top: layout.handTop(r.hand), height: layout.handHeight }}
        >
          rest
        </div>
      ))}
    </>
  )
}

/** A letter of a stay's words, px across, and their margins. */
const LETTER_PX = 6.1
const STAY_MARGIN_PX = 14

/** What lies there, as much of it as has room: all of it, what becomes of it, or nothing rather than half a word. */
function StayWords({ all, short, width }: { all: string; short: string; width: number }) {
  const fits = (words: string) => words !== '' && words.length * LETTER_PX + STAY_MARGIN_PX < width
  const words = fits(all) ? all : fits(short) ? short : null
  return words && <span>{words}</span>
}
