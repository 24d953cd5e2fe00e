import { Button } from '@mantine/core'
import { Link } from 'react-router'
import type { Advice as Said } from '#core/model/plan'
import { type AdviceGroup, adviceKey, allAtOnce, canBeWaved, sortAdvice } from '#core/plan/advice/grouped'
import { SAVING_KEY, savingOf, savingToDecide } from '#core/plan/fewer/saving'
import { applyRemedy } from '#core/plan/remedies'
import { formatMinutes } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Card } from '../../../parts/Card.tsx'
import { FlagMark } from '../../../parts/FlagMark.tsx'
import { Empty, Loading } from '../../../parts/states.tsx'
import { useFewer } from '../../../workers/bags.ts'
import css from './Advice.module.css'

const words: Record<Said['severity'], string> = { stop: 'Stop', decide: 'Decide', note: 'Note' }

/** All advice about an order in one place: decisions before notes, what is alike in one line with one button for all. */
export function Advice() {
  const { order, plan, workshop } = useOrderEditor()
  const { offer } = useFewer(order, workshop)
  if (!plan) return <Loading what="the plan" />
  const { decide, notes, waved } = sortAdvice(plan.advice, order.wavedOff)
  const saved = savingToDecide(offer, order)
  const left = saved > 0 ? 0 : savingOf(offer)
  return (
    <div className={css.page}>
      <Card title="To decide">
        <ul className={css.list}>
          {saved > 0 && <Saving minutes={saved} />}
          {decide.map((group) => (
            <Group key={group.key} group={group} />
          ))}
        </ul>
        {decide.length === 0 && saved === 0 && <p>Nothing stands in the way.</p>}
      </Card>
      {notes.length > 0 && (
        <Card title="Good to know">
          <ul className={css.list}>
            {notes.map((group) => (
              <Group key={group.key} group={group} />
            ))}
          </ul>
        </Card>
      )}
      {waved.length + left > 0 && <WavedOff waved={waved} savedMinutes={left} />}
      {plan.advice.length === 0 && order.pieces.length === 0 && (
        <Empty title="Nothing to advise yet">Advice comes with the first piece.</Empty>
      )}
    </div>
  )
}

/** One line of advice: what it says, all of it at once, each by itself. */
function Group({ group }: { group: AdviceGroup }) {
  const { edit, plan, take } = useOrderEditor()
  const all = allAtOnce(group)
  const single = group.advice.length === 1 ? group.advice[0]! : null
  const wave = (advice: readonly Said[]) =>
    edit('wave advice off', (o) => ({
      ...o,
      wavedOff: [...new Set([...o.wavedOff, ...advice.map(adviceKey)])],
    }))
  const takeAll = () =>
    edit(group.says, (o) =>
      group.advice.reduce((now, a) => (a.remedy && plan ? applyRemedy(now, a.remedy.change, plan) : now), o),
    )
  return (
    <li className={css.group} data-severity={group.severity}>
      <span className={css.mark}>
        {group.severity !== 'note' && <FlagMark />}
        {words[group.severity]}
      </span>
      <span className={css.says}>{group.says}</span>
      <span className={css.acts}>
        {single?.remedy && (
          <Button onClick={() => take(single.remedy!.change, single.remedy!.label)}>
            {single.remedy.label}
          </Button>
        )}
        {!single && all && <Button onClick={takeAll}>{all}</Button>}
        {group.advice.every(canBeWaved) && (
          <Button variant="subtle" onClick={() => wave(group.advice)}>
            {single ? 'Leave it' : 'Leave them'}
          </Button>
        )}
      </span>
      {!single && (
        <details className={css.each}>
          <summary>Each by itself</summary>
          <ul>
            {group.advice.map((a) => (
              <li key={`${adviceKey(a)} ${a.message}`}>
                <span>{a.message}</span>
                {a.remedy && (
                  <Button onClick={() => take(a.remedy!.change, a.remedy!.label)}>{a.remedy.label}</Button>
                )}
              </li>
            ))}
          </ul>
        </details>
      )}
    </li>
  )
}

/** An hour saved is a decision: found by looking whether layers could share openings and bowls. */
function Saving({ minutes }: { minutes: number }) {
  const { order, edit } = useOrderEditor()
  return (
    <li className={css.group} data-severity="decide">
      <span className={css.mark}>
        <FlagMark />
        Decide
      </span>
      <span className={css.says}>{savingWords(minutes)}</span>
      <span className={css.acts}>
        <Button component={Link} to={`/orders/${order.id}/bags/fewer`}>
          See how
        </Button>
        <Button
          variant="subtle"
          onClick={() =>
            edit('wave advice off', (o) => ({ ...o, wavedOff: [...new Set([...o.wavedOff, SAVING_KEY])] }))
          }
        >
          Leave it
        </Button>
      </span>
    </li>
  )
}

const savingWords = (minutes: number) =>
  `${formatMinutes(minutes)} fewer in hand, if layers are piped through openings and at stiffnesses that others use already.`

/** What somebody has left, to be said again. */
function WavedOff({ waved, savedMinutes }: { waved: readonly Said[]; savedMinutes: number }) {
  const { edit } = useOrderEditor()
  return (
    <Card
      title="Left as it is"
      aside="it stays left, whatever its figures become"
      actions={
        <Button onClick={() => edit('say advice again', (o) => ({ ...o, wavedOff: [] }))}>
          Say it again
        </Button>
      }
    >
      <ul className={css.list}>
        {savedMinutes > 0 && (
          <li className={css.group}>
            <span className={css.mark}>{words.decide}</span>
            <span className={`${css.says} quiet`}>{savingWords(savedMinutes)}</span>
          </li>
        )}
        {waved.map((a) => (
          <li key={`${adviceKey(a)} ${a.message}`} className={css.group}>
            <span className={css.mark}>{words[a.severity]}</span>
            <span className={`${css.says} quiet`}>{a.message}</span>
          </li>
        ))}
      </ul>
    </Card>
  )
}
