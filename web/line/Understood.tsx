import { Menu } from '@mantine/core'
import type { Chip, LineRead } from '#core/line/meant'
import { AskedMenu } from '../parts/AskedMenu.tsx'
import { useCalendar } from '../parts/calendar.ts'
import { FlagMark } from '../parts/FlagMark.tsx'
import css from './LineBox.module.css'

/** What a line was taken for, in its order; a press shows where, and what else a guess may be. */
export function Understood(props: {
  text: string
  read: LineRead
  select: (from: number, to: number) => void
  instead: (from: number, to: number, words: string) => void
}) {
  const { text, read } = props
  const { shortMoment } = useCalendar()
  const says = (chip: Chip) => (chip.kind === 'day' ? shortMoment(chip.says) : chip.says)
  return (
    <ul className={css.chips} aria-label="What was understood">
      {read.chips.map((chip) => {
        const button = (
          <button
            type="button"
            className={css.chip}
            data-guess={chip.guess || undefined}
            onClick={() => props.select(chip.from, chip.to)}
          >
            {says(chip)}
            {chip.guess && <span className={css.guess}>guessed</span>}
          </button>
        )
        return (
          <li key={`${chip.from} ${chip.kind} ${chip.says}`}>
            {chip.others.length === 0 ? (
              button
            ) : (
              <AskedMenu position="bottom-start" button={button}>
                <Menu.Label>“{text.slice(chip.word.from, chip.word.to)}” may also be</Menu.Label>
                {chip.others.map((name) => (
                  <Menu.Item
                    key={name}
                    onClick={() => props.instead(chip.word.from, chip.word.to, name.toLowerCase())}
                  >
                    {name}
                  </Menu.Item>
                ))}
              </AskedMenu>
            )}
          </li>
        )
      })}
      {read.missed.map(({ from, to }) => (
        <li key={`missed ${from}`}>
          <button type="button" className={css.chip} data-missed onClick={() => props.select(from, to)}>
            <FlagMark /> not understood: “{text.slice(from, to).trim()}”
          </button>
        </li>
      ))}
    </ul>
  )
}
