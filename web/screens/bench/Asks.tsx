import { useState } from 'react'
import type { BagAsk } from '#core/bench/asks'
import { formatMinutes } from '#core/units'
import css from './Bench.module.css'

/** What is asked before work goes on: whether icing has changed, whether the hand wants its rest, whether the clock is right. */
export function Asks(props: {
  bag: BagAsk | null
  answer: (bag: number, fine: boolean) => void
  /** Minutes of rest that are due; null when none are. */
  rest: number | null
  begin: (minutes: number) => void
  later: () => void
  jumpMs: number
  seen: () => void
}) {
  const { bag, answer, rest, begin, later, jumpMs, seen } = props
  const [remedy, setRemedy] = useState<string | null>(null)
  if (jumpMs !== 0)
    return (
      <Ask
        words={`The clock of this tablet was set ${jumpMs > 0 ? 'forward' : 'back'} by ${formatMinutes(Math.abs(jumpMs) / 60_000)}. Timers go by it: look at the clock on the wall.`}
        answers={[{ words: 'I have looked', act: seen }]}
      />
    )
  if (remedy) return <Ask words={remedy} answers={[{ words: 'Done', act: () => setRemedy(null) }]} />
  if (bag)
    return (
      <Ask
        words={bag.question}
        answers={[
          { words: bag.fine, act: () => answer(bag.bag, true) },
          {
            words: bag.changed,
            act: () => {
              answer(bag.bag, false)
              setRemedy(bag.remedy)
            },
          },
        ]}
      />
    )
  if (rest !== null)
    return (
      <Ask
        words={`Stiff icing for a long while: rest your hand for ${formatMinutes(rest)}.`}
        answers={[
          { words: 'Rest now', act: () => begin(rest) },
          { words: 'Later', act: later },
        ]}
      />
    )
  return null
}

function Ask({ words, answers }: { words: string; answers: { words: string; act: () => void }[] }) {
  return (
    <div className={css.ask} role="alert">
      <p>
        <b className={css.flag}>▸ </b>
        {words}
      </p>
      {answers.map((a) => (
        <button key={a.words} type="button" className={css.act} onClick={a.act}>
          {a.words}
        </button>
      ))}
    </div>
  )
}
