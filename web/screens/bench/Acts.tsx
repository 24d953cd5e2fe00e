import { IconArrowBackUp, IconBowl, IconDropletOff, IconHelpCircle, IconTrashX } from '@tabler/icons-react'
import type { Standing } from '#core/bench/tally'
import type { BenchEvent, BenchStep } from '#core/model/bench'
import css from './Bench.module.css'
import { Otherwise } from './Otherwise.tsx'

const ACTS = [
  { kind: 'spoiled', count: 'spoiled', words: 'Spoiled one', noted: 'spoiled', Icon: IconTrashX },
  { kind: 'bagEmpty', count: 'emptied', words: 'Bag empty', noted: 'emptied', Icon: IconDropletOff },
  { kind: 'ranOut', count: 'ranOut', words: 'Ran out', noted: 'ran out', Icon: IconBowl },
] as const

/** What may happen at any step, one touch away; what was noted of it is said, and taken back by another touch. */
export function Acts(props: {
  step: BenchStep
  standing: Standing
  note: (kind: BenchEvent['kind'], amount?: number) => void
  tell: (words: string) => void
  helping: boolean
  help: (helping: boolean) => void
}) {
  const { step, standing, note, tell, helping, help } = props
  const may = { spoiled: true, bagEmpty: step.bags.length > 0, ranOut: step.colourIds.length > 0 }
  return (
    <div className={css.acts}>
      {ACTS.map(({ kind, count, words, noted, Icon }) => (
        <div key={kind} className={css.acted}>
          <button
            type="button"
            className={`${css.act} ${css.wide}`}
            disabled={!may[kind]}
            onClick={() => note(kind)}
          >
            <Icon size={32} stroke={1.5} /> {standing[count] > 0 ? `${standing[count]} ${noted}` : words}
          </button>
          {standing[count] > 0 && (
            <button
              type="button"
              className={`${css.act} ${css.narrow}`}
              aria-label={`Take one ${noted} back`}
              onClick={() => note(kind, -1)}
            >
              <IconArrowBackUp size={26} />
            </button>
          )}
        </div>
      ))}
      <Otherwise noted={standing.notes.length} tell={tell} />
      <button type="button" className={css.act} aria-pressed={helping} onClick={() => help(!helping)}>
        <IconHelpCircle size={32} stroke={1.5} /> Looks wrong
      </button>
    </div>
  )
}
