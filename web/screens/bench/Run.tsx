import { useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
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
import { Following } from './Following.tsx'
import { RunHead } from './RunHead.tsx'
import { RunLeft } from './RunLeft.tsx'
import { NotThese, StepBags } from './StepBags.tsx'
import { StepCount } from './StepCount.tsx'
import { tapWords } from './stepWords.ts'
import { Take } from './Take.tsx'
import { Timers } from './Timers.tsx'
import { useAwake } from './useAwake.ts'
import { useClock } from './useClock.ts'
import { useClockJump } from './useClockJump.ts'
import { useKeys } from './useKeys.ts'
import { useRoom } from './useRoom.ts'
import { useShownStep } from './useShownStep.ts'
import { useVoice } from './useVoice.ts'

const SECOND_MS = 500
/** Whoever puts a rest off is asked again after so long. */
const PUT_OFF_MS = 600_000

/** One thing at a time: its picture, its bag, its count, what comes next, what is waited for. */
export function Run(props: { bench: Bench; by: string | null; choose: (by: string | null) => void }) {
  const { bench, by, choose } = props
  const { run, events, tally, timers, complete, note } = bench
  const { frozen } = run
  const { steps } = frozen
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
      <RunHead {...{ bench, step, at, standing, by, choose, tablet, setTablet, go }} />
      <div className={css.halves}>
        <RunLeft
          {...{ bench, step, seenStep, standing, layers, layer, helping, back }}
          turn={(to) => setTurned({ stepId: step.id, at: to })}
        />
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
        <Following {...{ steps, step, tally, at }} />
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
