import type { BowlAnswer } from '#core/colour/bowl'
import type { OrderColour } from '#core/model/order'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import css from './Colours.module.css'
import { ColourWish } from './ColourWish.tsx'
import type { ChangeColour } from './changeColour.ts'
import { MixOf } from './MixOf.tsx'

/** One colour: wished for, mixed, likely; its drops, other ways, and what to do when it came out otherwise. */
export function ColourDetail(props: {
  colour: OrderColour
  editable: boolean
  answers: readonly BowlAnswer[]
}) {
  const { colour, editable, answers } = props
  const { edit } = useOrderEditor()
  const change: ChangeColour = (part, label) =>
    edit(
      label,
      (o) => ({ ...o, colours: o.colours.map((c) => (c.id === colour.id ? { ...c, ...part } : c)) }),
      `colour ${colour.id} ${label}`,
    )
  return (
    <div className={css.detail}>
      <ColourWish colour={colour} editable={editable} change={change} />
      {answers.map((answer) => (
        <MixOf key={answer.icingKindId} answer={answer} colour={colour} change={editable ? change : null} />
      ))}
    </div>
  )
}
