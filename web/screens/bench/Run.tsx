import {
  IconArrowBackUp,
  IconChevronLeft,
  IconChevronRight,
  IconCircleCheck,
  IconCircleMinus,
} from '@tabler/icons-react'
import { useMemo, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { bagAsk } from '#core/bench/asks'
import { layersOf } from '#core/bench/layers'
import { restDue } from '#core/bench/rest'
import { askedSubject, restSubject } from '#core/bench/subjects'
import { heldBy, nextFor, takenWith } from '#core/bench/turn'
import { between } from '#core/bench/within'
import { aboutOf, titleOf } from '#core/bench/words'
import { useTablet } from '../../bench/tablet.ts'
import type { Bench } from '../../bench/useBench.ts'
import { Acts } from './Acts.tsx'
import { AllDone } from './AllDone.tsx'
import { Asks } from './Asks.tsx'
import css from './Bench.module.css'
import { LayerTurn } from './LayerTurn.tsx'
import { LineWords } from './LineWords.tsx'
import { NotThese, StepBags } from './StepBags.tsx'
import { StepCount } from './StepCount.tsx'
import { StepHelp } from './StepHelp.tsx'
import { StepPicture } from './StepPicture.tsx'
import { StepSays } from './StepSays.tsx'
import { StepWeigh } from './StepWeigh.tsx'
import { tapWords } from './stepWords.ts'
import { TabletChoice } from './TabletChoice.tsx'
import { Take } from './Take.tsx'
import { Timers } from './Timers.tsx'
import { useAwake } from './useAwake.ts'
import { useClock } from './useClock.ts'
import { useClockJump } from './useClockJump.ts'
import { useKeys } from './useKeys.ts'
import { useRoom } from './useRoom.ts'
import { useShownStep } from './useShownStep.ts'
import { useVoice } from './useVoice.ts'
import { Whose } from './Whose.tsx'

const SECOND_MS = 500
/** Whoever puts a rest off is asked again after so long. */
const PUT_OFF_MS = 600_000

/** One thing at a time: its picture, its bag, its count, what comes next, what is waited for. */
export function Run(props: { bench: Bench; by: string | null; choose: (by: string | null) => void }) {
  const { bench, by, choose } = props
  const { run, events, tally, timers, line, complete, note } = bench
  const { frozen } = run
  const { steps } = frozen
  const hands = run.frozen.workshop.settings.day.hands.map((h) => h.name)
  const now = useClock(SECOND_MS)
  const [params] = useSearchParams()
  const { tablet, setTablet } = useTablet()
  useRoom(tablet)
  const [helping, setHelping] = useState(false)
  const offered = nextFor(steps, tally, timers, now, by)
  const [shownId, setShownId] = useShownStep({ steps, tally, offered, complete, bag: params.get('bag') })
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
  useKeys(tablet.keys, { tap, back, next: () => go(1), before: () => go(-1) })
  const about = aboutOf(step)
  const layers = useMemo(() => layersOf(step, frozen), [step, frozen])
  // another step begins with the whole flower
  const [turned, setTurned] = useState<{ stepId: string; at: number | null } | null>(null)
  const layer = turned?.stepId === step.id ? turned.at : null
  const seenStep = (layer === null ? null : layers[layer]?.step) ?? step
  useVoice(
    tablet.voice,
    `${titleOf(step)}. ${about}.${step.bags.length === 1 && step.kind !== 'fill' ? ` Bag ${step.bags[0]}.` : ''}`,
  )
  const { jumpMs, seen } = useClockJump(now)
  const [putOff, setPutOff] = useState(0)
  const ask = useMemo(
    () => (standing.done ? null : bagAsk(step, frozen, tally, events, now)),
    [step, frozen, tally, events, now, standing.done],
  )
  const due = useMemo(() => restDue(frozen, events, by), [frozen, events, by])
  const resting = timers.some((t) => t.stepId === restSubject(by) && t.endsAt > now)
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
            step {at + 1} of {steps.length} · {about}
            {step.spare > 0 && ` · ${step.spare} spare`}
            {standing.by !== null && standing.by !== by && !standing.done && (
              <strong> · {standing.by} has taken it</strong>
            )}
          </p>
        </div>
        <span className={css.line}>
          <LineWords line={line} />
          <Whose hands={hands} by={by} choose={choose} />
          <TabletChoice tablet={tablet} choose={setTablet} />
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
            {helping ? (
              <StepHelp step={step} frozen={frozen} />
            ) : (
              <StepPicture step={seenStep} frozen={frozen} count={standing.count} />
            )}
          </div>
          {!helping && (
            <div className={css.words}>
              {layers.length > 0 && (
                <LayerTurn
                  names={layers.map((l) => l.name)}
                  at={layer}
                  turn={(at) => setTurned({ stepId: step.id, at })}
                />
              )}
              <StepSays step={seenStep} frozen={frozen} />
              {!standing.done && (
                <StepWeigh
                  step={step}
                  frozen={frozen}
                  events={events}
                  count={standing.count}
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
          <StepBags step={seenStep} frozen={frozen} />
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
        <Take
          step={step}
          together={takenWith(step, steps, tally)}
          standing={standing}
          by={by}
          note={(id, kind) => note(id, kind)}
        />
        <NotThese step={seenStep} frozen={frozen} />
      </div>
      <div>
        <Asks
          bag={ask}
          answer={(bag, fine) => note(askedSubject(bag), 'asked', { amount: fine ? 1 : 0 })}
          rest={due && !resting && now > putOff ? frozen.workshop.settings.day.restMinutes : null}
          begin={(minutes) => note(restSubject(by), 'rest', { amount: minutes })}
          later={() => setPutOff(now + PUT_OFF_MS)}
          jumpMs={jumpMs}
          seen={seen}
        />
        <Timers timers={timers} now={now} heard={(t) => note(t.stepId, 'rung')} />
      </div>
      <Acts
        step={step}
        standing={standing}
        note={(kind, amount) => note(step.id, kind, amount === undefined ? {} : { amount })}
        tell={(words) => note(step.id, 'otherwise', { note: words })}
        helping={helping}
        help={setHelping}
      />
    </main>
  )
}
