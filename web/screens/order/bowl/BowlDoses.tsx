import { useMemo } from 'react'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { type ColourBowl, chainStep, isCarried, lastOfChain, taskOf } from '#core/plan/colourBowls'
import type { Measures } from '../../../parts/weight.tsx'
import { useBowls, useSchools } from '../../../workers/colours.ts'
import css from './BowlDoses.module.css'

/** What a bowl begins with. */
export function bowlStart(bowl: ColourBowl, { weight, toWeigh }: Measures): string {
  return isCarried(bowl)
    ? `Scrape what is left into the bowl, ${weight(bowl.carriedGrams)} or so. Stir in plain icing up to ${toWeigh(bowl.carriedGrams + bowl.baseGrams)}.`
    : `Weigh ${toWeigh(bowl.baseGrams)} of plain icing.`
}

interface Props {
  bowl: ColourBowl
  order: Order
  workshop: Workshop
}

/** What is stirred into a bowl, by the bottle: all of its dyes, or in a chain what is added to the colour before. */
export function BowlDoses(props: Props) {
  return isCarried(props.bowl) ? <CarriedDoses {...props} /> : <OwnDoses {...props} />
}

function OwnDoses({ bowl, workshop }: Props) {
  const tasks = useMemo(() => [taskOf(bowl)], [bowl])
  const answer = useBowls(tasks, workshop)?.[0]
  if (!answer) return <>Working out what to add…</>
  const { doses } = answer.chosen
  if (doses.length === 0) return <>No dye.</>
  return (
    <>
      Add {answer.first === 0.5 ? 'half' : 'seven tenths'} of this, mix, look, then the rest:
      <Doses doses={doses} />
    </>
  )
}

function CarriedDoses({ bowl, order, workshop }: Props) {
  const { data } = useSchools(order, workshop, lastOfChain(order))
  const step = data && chainStep(data, bowl.colourId)
  if (!step) return <>Working out what to add…</>
  return (
    <>
      Add, a little at a time:
      <Doses doses={step.add} />
      {step.add.length === 0 && 'nothing more'}
    </>
  )
}

function Doses({ doses }: { doses: { dyeId: string; words: string; name: string }[] }) {
  return (
    <ul className={css.doses}>
      {doses.map((d) => (
        <li key={d.dyeId}>
          <strong>{d.words}</strong> {d.name.toLowerCase()}
        </li>
      ))}
    </ul>
  )
}
