import { useState } from 'react'
import type { IcingKind } from '#core/model/icing'
import { allergenProof } from '#core/plan/proof'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import css from './Brief.module.css'
import { BriefForm } from './BriefForm.tsx'
import { ComesTo } from './ComesTo.tsx'
import { IcingChange } from './IcingChange.tsx'
import { Proof } from './Proof.tsx'
import { Quote } from './Quote.tsx'

/** What, for whom, for when, what must not be in it; and beside it what that comes to. */
export function Brief() {
  const { order, workshop, plan, edit } = useOrderEditor()
  const [changed, setChanged] = useState<{ from: IcingKind; to: IcingKind } | null>(null)
  const changeIcing = (id: string) => {
    const of = (icingKindId: string) => workshop.icings.find((i) => i.id === icingKindId)!
    setChanged({ from: of(order.icingKindId), to: of(id) })
    edit('icing kind', (o) => ({ ...o, icingKindId: id }), 'icingKindId')
  }
  return (
    <div className={css.columns}>
      <BriefForm changeIcing={changeIcing} />
      <div className={css.side}>
        {plan && <ComesTo plan={plan} workshop={workshop} />}
        {changed && changed.to.id === order.icingKindId && (
          <IcingChange from={changed.from} to={changed.to} close={() => setChanged(null)} />
        )}
        {plan && order.avoid.length > 0 && <Proof proofs={allergenProof(order, plan, workshop)} />}
        {plan && plan.uses.length > 0 && <Quote plan={plan} />}
      </div>
    </div>
  )
}
