import { IconCircleCheck, IconCircleMinus } from '@tabler/icons-react'
import type { layersOf } from '#core/bench/layers'
import type { Standing } from '#core/bench/tally'
import type { BenchStep } from '#core/model/bench'
import type { Bench } from '../../bench/useBench.ts'
import css from './Bench.module.css'
import { LayerTurn } from './LayerTurn.tsx'
import { StepHelp } from './StepHelp.tsx'
import { StepPicture } from './StepPicture.tsx'
import { StepSays } from './StepSays.tsx'
import { StepWeigh } from './StepWeigh.tsx'

/** What it looks like and how it is done, layer by layer; and the ways to take a tap back or to call it enough. */
export function RunLeft(props: {
  bench: Bench
  step: BenchStep
  /** The step, or one layer of it. */
  seenStep: BenchStep
  standing: Standing
  layers: ReturnType<typeof layersOf>
  layer: number | null
  turn: (to: number | null) => void
  helping: boolean
  back: () => void
}) {
  const { bench, step, seenStep, standing, layers, layer, turn, helping, back } = props
  const { run, events, note } = bench
  const { frozen } = run
  return (
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
          {layers.length > 0 && <LayerTurn names={layers.map((l) => l.name)} at={layer} turn={turn} />}
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
  )
}
