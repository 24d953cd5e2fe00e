import { IconArrowBackUp, IconChevronLeft, IconChevronRight } from '@tabler/icons-react'
import { Link } from 'react-router'
import type { Standing } from '#core/bench/tally'
import { aboutOf, titleOf } from '#core/bench/words'
import type { BenchStep } from '#core/model/bench'
import type { Tablet } from '../../bench/tablet.ts'
import type { Bench } from '../../bench/useBench.ts'
import css from './Bench.module.css'
import { LineWords } from './LineWords.tsx'
import { TabletChoice } from './TabletChoice.tsx'
import { Whose } from './Whose.tsx'

/** What is being done, where that is in the work, whose tablet this is; and the steps before and after. */
export function RunHead(props: {
  bench: Bench
  step: BenchStep
  at: number
  standing: Standing
  by: string | null
  choose: (by: string | null) => void
  tablet: Tablet
  setTablet: (tablet: Tablet) => void
  go: (by: number) => void
}) {
  const { bench, step, at, standing, by, choose, tablet, setTablet, go } = props
  const { run, line } = bench
  const { steps } = run.frozen
  const hands = run.frozen.workshop.settings.day.hands.map((h) => h.name)
  const about = aboutOf(step)
  return (
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
  )
}
