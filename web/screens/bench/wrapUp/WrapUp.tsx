import { IconArrowBackUp } from '@tabler/icons-react'
import { useState } from 'react'
import { Link } from 'react-router'
import { bagSubject, bowlSubject } from '#core/bench/subjects'
import { wrappedUp } from '#core/bench/wrapUp'
import type { Bench } from '../../../bench/useBench.ts'
import bench from '../Bench.module.css'
import { LineWords } from '../LineWords.tsx'
import { LeftRow } from './LeftRow.tsx'
import { Result } from './Result.tsx'
import css from './WrapUp.module.css'

const PARTS = ['Bowls', 'Bags', 'Result'] as const

/** The last step: what was left, what ran short, what came out. Everything told is noted at once, like a tap. */
export function WrapUp({ bench: of }: { bench: Bench }) {
  const { run, events, line, note } = of
  const [part, setPart] = useState<(typeof PARTS)[number]>('Bowls')
  const told = wrappedUp(events)
  const { plan } = run.frozen
  const row = (subject: string) => ({
    settings: run.frozen.workshop.settings,
    left: told.left.get(subject) ?? null,
    tell: (grams: number | null, estimated: boolean) =>
      note(subject, 'left', { amount: grams, note: estimated ? 'by eye' : null }),
  })
  return (
    <main className={css.page}>
      <header className={css.head}>
        <h1>Wrap-up</h1>
        <span>{run.title}</span>
        <LineWords line={line} />
        <Link to={`/bench/${run.id}`} className={bench.small} aria-label="Back to the work">
          <IconArrowBackUp size={26} />
        </Link>
      </header>
      <nav className={css.parts} aria-label="Parts of the wrap-up">
        {PARTS.map((name) => (
          <button key={name} type="button" aria-pressed={name === part} onClick={() => setPart(name)}>
            {name}
          </button>
        ))}
      </nav>
      {part === 'Bowls' && (
        <ul className={css.rows}>
          {plan.batches.map((batch) => {
            const colour = plan.colours.find((c) => c.id === batch.colourId)!
            const subject = bowlSubject(batch.id)
            return (
              <LeftRow
                key={batch.id}
                name={colour.name}
                about={batch.stiffness}
                hexes={[colour.hex]}
                plannedGrams={batch.grams}
                short={told.short.has(subject)}
                tellShort={(short) => note(subject, 'short', { amount: short ? 1 : 0 })}
                {...row(subject)}
              />
            )
          })}
        </ul>
      )}
      {part === 'Bags' && (
        <ul className={css.rows}>
          {plan.bags.map((bag) => (
            <LeftRow
              key={bag.number}
              name={`Bag ${bag.number}`}
              about={bag.load
                .map((l) => plan.colours.find((c) => c.id === l.colourId)?.name ?? l.colourId)
                .join(' + ')}
              hexes={bag.load.flatMap((l) => plan.colours.find((c) => c.id === l.colourId)?.hex ?? [])}
              plannedGrams={bag.grams}
              {...row(bagSubject(bag.number))}
            />
          ))}
        </ul>
      )}
      {part === 'Result' && <Result bench={of} told={told} />}
      <footer className={css.foot}>
        {part !== 'Bowls' && (
          <button
            type="button"
            className={bench.act}
            onClick={() => setPart(part === 'Bags' ? 'Bowls' : 'Bags')}
          >
            Back
          </button>
        )}
        {part !== 'Result' && (
          <button
            type="button"
            className={`${bench.act} ${css.strong}`}
            onClick={() => setPart(part === 'Bowls' ? 'Bags' : 'Result')}
          >
            Next: {part === 'Bowls' ? 'the bags' : 'what came out'}
          </button>
        )}
      </footer>
    </main>
  )
}
