import {
  IconAdjustments,
  IconArrowBackUp,
  IconChevronLeft,
  IconChevronRight,
  IconCircleMinus,
  IconCirclePlus,
  IconDropletOff,
  IconHelpCircle,
  IconPlugConnectedX,
  IconTrashX,
} from '@tabler/icons-react'
import { useEffect, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { type Held, heldBy, nextFor } from '#core/bench/turn'
import { between } from '#core/bench/within'
import type { BenchStep } from '#core/model/bench'
import { counted } from '#core/units'
import type { Bench } from '../../bench/useBench.ts'
import css from './Bench.module.css'
import { NotThese, StepBags } from './StepBags.tsx'
import { StepHelp } from './StepHelp.tsx'
import { StepPicture } from './StepPicture.tsx'
import { StepSays } from './StepSays.tsx'
import { leftWords, tapWords, titleOf, waitWords } from './stepWords.ts'
import { Timers } from './Timers.tsx'
import { useClock } from './useClock.ts'

const SECOND_MS = 500
/** More marks than these are not counted by eye. */
const MOST_MARKS = 60

/** One thing at a time: its picture, its bag, its count, what comes next, what is waited for. */
export function Run({ bench, by }: { bench: Bench; by: string | null }) {
  const { run, tally, timers, line, note } = bench
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
            step {at + 1} of {steps.length} · {step.where}
            {step.spare > 0 && ` · ${step.spare} spare`}
          </p>
        </div>
        <Line bench={bench} />
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
            </div>
          )}
          <button
            type="button"
            className={css.back}
            disabled={standing.count === 0 && !standing.done}
            onClick={back}
          >
            <IconCircleMinus size={36} stroke={1.4} /> one back
          </button>
        </section>
        <button
          type="button"
          className={css.right}
          onClick={tap}
          aria-label={standing.done ? 'Go on' : tapWords(step)}
        >
          <StepBags step={step} frozen={frozen} />
          <span className={css.count}>
            {step.wanted > 1 && (
              <span className={css.number} data-testid="count">
                {standing.count}
              </span>
            )}
            <span>
              <span className={css.of}>
                {step.wanted > 1 ? `of ${step.wanted}` : standing.done ? 'Done' : 'Tap when it is done'}
              </span>
              <br />
              {held ? (
                <span className={css.flag}>▸ {heldWords(held, steps, now)}</span>
              ) : (
                <Coming step={step} count={standing.count} inBetween={inBetween} />
              )}
              {standing.spoiled > 0 && <span> · {standing.spoiled} spoiled</span>}
            </span>
            <span className={css.more}>
              {standing.done ? (
                <IconChevronRight size={76} stroke={1.6} />
              ) : (
                <IconCirclePlus size={76} stroke={1.2} />
              )}
              <br />
              {standing.done ? 'go on' : tapWords(step)}
            </span>
          </span>
          {step.wanted > 1 && step.wanted <= MOST_MARKS && (
            <Marks
              step={step}
              count={standing.count}
              at={inBetween.filter((b) => b.kind === 'refill').map((b) => b.at)}
            />
          )}
        </button>
      </div>
      <div className={css.next}>
        <div>
          {following && (
            <>
              <p>next, when this is done</p>
              <h2>{titleOf(following)}</h2>
              <p>
                {following.where}
                {following.bags.length > 0 &&
                  ` · ${following.bags.length === 1 ? 'bag' : 'bags'} ${following.bags.join(', ')}`}
              </p>
            </>
          )}
        </div>
        <NotThese step={step} frozen={frozen} />
      </div>
      <Timers timers={timers} now={now} heard={(t) => note(t.stepId, 'rung')} />
      <div className={css.acts}>
        <button type="button" className={css.act} onClick={() => note(step.id, 'spoiled')}>
          <IconTrashX size={32} stroke={1.5} /> Spoiled one
        </button>
        <button
          type="button"
          className={css.act}
          disabled={step.bags.length === 0}
          onClick={() => note(step.id, 'bagEmpty')}
        >
          <IconDropletOff size={32} stroke={1.5} /> Bag empty
        </button>
        <button
          type="button"
          className={css.act}
          disabled={step.colourIds.length === 0}
          onClick={() => note(step.id, 'ranOut')}
        >
          <IconAdjustments size={32} stroke={1.5} /> Ran out
        </button>
        <button type="button" className={css.act} aria-pressed={helping} onClick={() => setHelping(!helping)}>
          <IconHelpCircle size={32} stroke={1.5} /> Looks wrong
        </button>
      </div>
    </main>
  )

  function Line({ bench: { line: state } }: { bench: Bench }) {
    return (
      <div className={css.line} role="status">
        {state.online ? null : <IconPlugConnectedX size={34} stroke={1.5} />}
        <div>
          <strong>{state.online ? (line.waiting > 0 ? 'Sending' : 'All sent') : 'Working offline'}</strong>
          <span>
            {state.trouble ??
              (state.waiting > 0
                ? `${counted(state.waiting, 'tap waits', 'taps wait')} here, kept safe`
                : state.online
                  ? 'every tap is kept here too'
                  : 'nothing waits')}
          </span>
        </div>
        <Link to={`/orders/${run.orderId}/bench`} className={css.small} aria-label="Leave the bench">
          <IconArrowBackUp size={26} />
        </Link>
      </div>
    )
  }
}

/** Nothing is left: what was made, and the way back. */
function AllDone({ bench: { run, tally, line } }: { bench: Bench }) {
  const spoiled = [...tally.of.values()].reduce((sum, s) => sum + s.spoiled, 0)
  return (
    <main className={css.finished}>
      <h1>All done</h1>
      <p>
        {run.title}: {counted(run.frozen.steps.length, 'step')}
        {spoiled > 0 && `, ${spoiled} spoiled`}.{' '}
        {line.waiting > 0
          ? `${counted(line.waiting, 'tap waits', 'taps wait')} here to be sent: keep this tablet on.`
          : 'Every tap is at the server.'}
      </p>
      <Link to={`/orders/${run.orderId}/bench`} className={css.small}>
        To the order
      </Link>
    </main>
  )
}

/** What a step waits for. */
function heldWords(held: NonNullable<Held>, steps: readonly BenchStep[], now: number): string {
  if (held.kind === 'timer')
    return `${held.timer.what} ${waitWords(held.timer.kind, false)}: ${leftWords(held.timer.endsAt - now)}`
  const other = steps.find((s) => s.id === held.stepId)
  return other ? `first: ${titleOf(other)}` : 'something else comes first'
}

function Coming(props: { step: BenchStep; count: number; inBetween: ReturnType<typeof between> }) {
  const { step, count, inBetween } = props
  const due = inBetween.find((b) => b.at === count && b.at > 0)
  const next = due ?? inBetween.find((b) => b.at > count)
  if (!next || count >= step.wanted) return null
  const words = next.kind === 'wipe' ? 'wipe the tip' : `fill bag ${next.bag} again`
  return due ? (
    <span className={css.flag}>▸ now {words}</span>
  ) : (
    <span>
      {next.at - count} more, then {words}
    </span>
  )
}

function Marks({ step, count, at }: { step: BenchStep; count: number; at: readonly number[] }) {
  const stops = new Set(at)
  return (
    <span className={css.marks} aria-hidden="true">
      {Array.from({ length: step.wanted }, (_, i) => (
        // marks are known by their place
        // biome-ignore lint/suspicious/noArrayIndexKey: see above
        <span key={i} style={{ display: 'contents' }}>
          {stops.has(i) && <b />}
          <i data-done={i < count || undefined} data-gap={i % 5 === 4 || undefined} />
        </span>
      ))}
    </span>
  )
}

/** Keys and a foot pedal, which sends those of pages, do what taps do. */
function useKeys({ tap, back, go }: { tap: () => void; back: () => void; go: (by: number) => void }): void {
  useEffect(() => {
    const acts: Record<string, () => void> = {
      Enter: tap,
      ' ': tap,
      PageDown: tap,
      PageUp: back,
      Backspace: back,
      ArrowRight: () => go(1),
      ArrowLeft: () => go(-1),
    }
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || e.repeat) return
      // a button that has the focus is pressed by the key itself
      if ((e.key === 'Enter' || e.key === ' ') && (e.target as HTMLElement).closest('button, a')) return
      const act = acts[e.key]
      if (!act) return
      e.preventDefault()
      act()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  })
}

/** Keeps the screen awake where the browser can. */
function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null
    const take = () => {
      if (document.visibilityState === 'visible')
        navigator.wakeLock
          ?.request('screen')
          .then((l) => {
            lock = l
          })
          // on low battery it may be refused
          .catch(() => undefined)
    }
    take()
    document.addEventListener('visibilitychange', take)
    return () => {
      document.removeEventListener('visibilitychange', take)
      void lock?.release()
    }
  }, [])
}
