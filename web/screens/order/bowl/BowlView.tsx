import { Button } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { useMemo } from 'react'
import { Link, useSearchParams } from 'react-router'
import { colourBowls, taskOf } from '#core/plan/colourBowls'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Petals } from '../../../drawings/Petal.tsx'
import { AT_ONCE } from '../../../parts/openAtOnce.ts'
import { Empty, Loading } from '../../../parts/states.tsx'
import { useMeasures } from '../../../parts/weight.tsx'
import { useBowls } from '../../../workers/colours.ts'
import { BowlDoses, bowlStart } from './BowlDoses.tsx'
import css from './BowlView.module.css'

/** One bowl at a time in words that are read at arm's length; the next one with a knuckle or the space bar. */
export function BowlView() {
  const { order, plan, workshop } = useOrderEditor()
  const [params, setParams] = useSearchParams()
  const measures = useMeasures()
  const { toWeigh, liquid } = measures
  const bowls = useMemo(() => (plan ? colourBowls(order, plan) : []), [order, plan])
  const tasks = useMemo(() => bowls.map(taskOf), [bowls])
  const answers = useBowls(tasks, workshop)
  const found = bowls.findIndex(
    (b) => b.colourId === params.get('colour') && (params.get('icing') ?? b.icingKindId) === b.icingKindId,
  )
  const at = Math.max(0, found)
  const go = (to: number) => {
    const bowl = bowls[to]
    if (bowl) setParams({ colour: bowl.colourId, icing: bowl.icingKindId }, AT_ONCE)
  }
  useHotkeys([
    ['space', () => go(at + 1)],
    ['ArrowRight', () => go(at + 1)],
    ['ArrowLeft', () => go(at - 1)],
  ])
  const bowl = bowls[at]
  const answer = answers?.[at]
  if (!plan) return <Loading what="the bowls" />
  if (!bowl)
    return <Empty title="No bowls yet">Put flowers or a coat on a piece, and their bowls stand here.</Empty>
  return (
    <div className={css.view}>
      <div className={css.look}>
        <Petals
          hex={answer?.chosen.freshHex ?? bowl.targetHex}
          size={330}
          label={`${bowl.name}, freshly mixed`}
        />
        <p>stop at this, fresh</p>
      </div>
      <div className={css.words}>
        <p className={css.count}>
          Bowl {at + 1} of {bowls.length}
        </p>
        <h2 className={css.title}>{bowl.name}</h2>
        <ol className={css.steps}>
          <li>{bowlStart(bowl, measures)}</li>
          <li>
            <BowlDoses bowl={bowl} order={order} workshop={workshop} />
          </li>
          {bowl.parts
            .filter((p) => p.liquidGrams > 0.05 || bowl.parts.length > 1)
            .map((p) => (
              <li key={p.stiffness}>
                {bowl.parts.length > 1
                  ? `Put ${toWeigh(p.grams - p.liquidGrams)} aside for ${p.stiffness}`
                  : `For ${p.stiffness}`}
                {p.liquidGrams > 0.05 ? `: stir in ${liquid(p.liquidGrams)} of liquid.` : '.'}
              </li>
            ))}
        </ol>
        {answer?.warnings.map((w) => (
          <p key={w} className={css.warning}>
            {w}
          </p>
        ))}
        <div className={css.buttons}>
          <Button className={css.big} disabled={at === 0} onClick={() => go(at - 1)}>
            Back
          </Button>
          {at < bowls.length - 1 ? (
            <Button className={css.big} variant="filled" onClick={() => go(at + 1)}>
              Next: {bowls[at + 1]!.name}
            </Button>
          ) : (
            <Button className={css.big} variant="filled" component={Link} to="../bags">
              Now the bags
            </Button>
          )}
          <Button className={css.big} component={Link} to={`../colours?colour=${bowl.colourId}`}>
            It came out otherwise
          </Button>
        </div>
      </div>
    </div>
  )
}
