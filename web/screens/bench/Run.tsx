import {
  IconArrowBackUp,
  IconChevronLeft,
  IconChevronRight,
  IconCircleCheck,
  IconCircleMinus,
} from '@tabler/icons-react'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { heldBy, nextFor } from '#core/bench/turn'
import { between } from '#core/bench/within'
import { aboutOf, titleOf } from '#core/bench/words'
import type { Bench } from '../../bench/useBench.ts'
import { Acts } from './Acts.tsx'
import { AllDone } from './AllDone.tsx'
import css from './Bench.module.css'
import { LineWords } from './LineWords.tsx'
import { NotThese, StepBags } from './StepBags.tsx'
import { StepCount } from './StepCount.tsx'
import { StepHelp } from './StepHelp.tsx'
import { StepPicture } from './StepPicture.tsx'
import { StepSays } from './StepSays.tsx'
import { StepWeigh } from './StepWeigh.tsx'
import { tapWords } from './stepWords.ts'
import { Timers } from './Timers.tsx'
import { useAwake } from './useAwake.ts'
import { useClock } from './useClock.ts'
import { useKeys } from './useKeys.ts'
import { Whose } from './Whose.tsx'

const SECOND_MS = 500

/** One thing at a time: its picture, its bag, its count, what comes next, what is waited for. */
export function Run(props: { bench: Bench; by: string | null; choose: (by: string | null) => void }) {
  const { bench, by, choose } = props
  const { run, events, tally, timers, line, note } = bench
  const hands = run.frozen.workshop.settings.day.hands.map((h) => h.name)
  const { frozen } = run
  const { steps } = frozen
  const now = useClock(SECOND_MS)
  const [shownId, setShownId] = useState<string | null>(null)
  const [helping, setHelping] = useState(false)
  const offered = nextFor(steps, tally, timers, now, by)
  // where everything waits, what comes next is shown with what it waits for
  const open = steps.find((s) => !tally.of.get(s.id)!.done)
  const step = steps.find((s) => s.id === shownId) ?? offered ?? open ?? steps.at(-1)!
  const at = steps.indexOf(step)
  const standing = tally.of.get(step.id)!
  const following = useMemo(() => {
    const open = steps.filter((s) => s.id !== step.id && !tally.of.get(s.id)!.done)
    return open.find((s) => steps.indexOf(s) > at) ?? open[0]
  }, [steps, step, tally, at])
  const inBetween = useMemo(() => between(step, frozen), [step, frozen])
  const held = standing.done ? null : heldBy(step, tally, timers, now)

  const go = (by: number) => setShownId(steps[Math.min(steps.length - 1, Math.max(0, at + by))]!.id)
  const tap = () => {
    if (standing.done) {
      setShownId(null)
      return
    }
    // it stays in view until the next tap: the last one can be taken back
    setShownId(step.id)
    if (by !== null && standing.by !== by) note(step.id, 'take')
    note(step.id, 'tap')
  }
  const back = () => {
    setShownId(step.id)
    if (standing.done && standing.count < step.wanted) note(step.id, 'again')
    else if (standing.count > 0) note(step.id, 'back')
  }
  useKeys({ tap, back, go })
  useAwake()

  if (!open && shownId === null) return <AllDone bench={bench} />
  return (
    <main className={css.room}>
      <header className={css.head}>
        <button
          type="button"
          className={css.turn}
          aria-label="The step before"
          disabled={at === 0}
          onClick={() => go(-1)}
        >
          <IconChevronLeft size={32} />
        </button>
        <div>
          <h1>{titleOf(step)}</h1>
          <p>
            step {at + 1} of {steps.length} · {aboutOf(step)}
            {step.spare > 0 && ` · ${step.spare} spare`}
            {standing.by !== null && standing.by !== by && !standing.done && (
              <strong> · {standing.by} has taken it</strong>
            )}
          </p>
        </div>
        <span className={css.line}>
          <LineWords line={line} />
          <Whose hands={hands} by={by} choose={choose} />
          <Link to={`/orders/${run.orderId}/bench`} className={css.small} aria-label="Leave the bench">
            <IconArrowBackUp size={26} />
          </Link>
        </span>
        <button
          type="button"
          className={css.turn}
          aria-label="The step after"
          disabled={at === steps.length - 1}
          onClick={() => go(1)}
        >
          <IconChevronRight size={32} />
        </button>
      </header>
      <div className={css.halves}>
        <section className={css.left} aria-label="What it looks like">
          <div className={css.picture}>
            {helping ? <StepHelp step={step} frozen={frozen} /> : <StepPicture step={step} frozen={frozen} />}
          </div>
          {!helping && (
            <div className={css.words}>
              <StepSays step={step} frozen={frozen} />
              {!standing.done && (
                <StepWeigh
                  step={step}
                  frozen={frozen}
                  events={events}
                  take={(name, amount) => note(step.id, 'weighed', { amount, note: name })}
                />
              )}
            </div>
          )}
          <div className={css.backs}>
            <button
              type="button"
              className={css.back}
              disabled={standing.count === 0 && !standing.done}
              onClick={back}
            >
              <IconCircleMinus size={36} stroke={1.4} /> one back
            </button>
            {step.wanted > 1 && standing.count > 0 && !standing.done && (
              <button type="button" className={css.back} onClick={() => note(step.id, 'done')}>
                <IconCircleCheck size={36} stroke={1.4} /> that is enough
              </button>
            )}
          </div>
        </section>
        <button
          type="button"
          className={css.right}
          onClick={tap}
          aria-label={standing.done ? 'Go on' : tapWords(step)}
        >
          <StepBags step={step} frozen={frozen} />
          <StepCount
            step={step}
            steps={steps}
            standing={standing}
            held={held}
            inBetween={inBetween}
            now={now}
          />
        </button>
      </div>
      <div className={css.next}>
        <div>
          {following && (
            <>
              <p>next, when this is done</p>
              <h2>{titleOf(following)}</h2>
              <p>
                {aboutOf(following)}
                {following.kind !== 'fill' &&
                  following.bags.length > 0 &&
                  ` · ${following.bags.length === 1 ? 'bag' : 'bags'} ${following.bags.join(', ')}`}
              </p>
            </>
          )}
        </div>
        <NotThese step={step} frozen={frozen} />
      </div>
      <Timers timers={timers} now={now} heard={(t) => note(t.stepId, 'rung')} />
      <Acts
        step={step}
        standing={standing}
        note={(kind, amount) => note(step.id, kind, amount === undefined ? {} : { amount })}
        helping={helping}
        help={setHelping}
      />
    </main>
  )
}
