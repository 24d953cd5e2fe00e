import { useMemo } from 'react'
import { ingredientsOf } from '#core/bench/weighIns'
import { loadDefinition } from '#core/loads/index'
import type { BenchStep, Frozen } from '#core/model/bench'
import { colourBowls } from '#core/plan/colourBowls'
import { strokeDefinition } from '#core/strokes/index'
import { formatParts } from '#core/units'
import { type Measures, measuresOf } from '../../parts/weight.tsx'
import { BowlDoses, bowlStart } from '../order/bowl/BowlDoses.tsx'

/** What to do at a step, in few words. */
export function StepSays({ step, frozen }: { step: BenchStep; frozen: Frozen }) {
  const { workshop, plan } = frozen
  const measures = measuresOf(workshop.settings)
  switch (step.kind) {
    case 'base': {
      const ingredients = ingredientsOf(step, frozen)
      const { parts } = formatParts(
        ingredients.map((i) => i.grams),
        workshop.settings.units,
      )
      return (
        <ul>
          {ingredients.map(({ name }, i) => (
            <li key={name}>
              <strong>{parts[i]}</strong> {name}
            </li>
          ))}
        </ul>
      )
    }
    case 'mix':
      return <MixSays step={step} frozen={frozen} measures={measures} />
    case 'thin': {
      const batch = plan.batches.find((b) => b.id === step.batchIds[0])
      return (
        <p>
          Take <strong>{measures.toWeigh(step.grams ?? 0)}</strong>, stir in{' '}
          <strong>{measures.liquid(batch?.liquidGrams ?? 0)}</strong> liquid, a little at a time.
        </p>
      )
    }
    case 'fill': {
      const bag = plan.bags.find((b) => b.number === step.bags[0])
      if (!bag) return null
      const names = bag.load.map((l) => plan.colours.find((c) => c.id === l.colourId)?.name ?? l.colourId)
      return (
        <>
          {bag.layout !== 'plain' &&
            loadDefinition(bag.layout)
              .filling(names)
              .map((words) => <p key={words}>{words}</p>)}
          <p>
            <strong>{measures.toWeigh(bag.grams / bag.fillings)}</strong>, two thirds full at most. Press out
            the air, twist the bag shut.
          </p>
          {bag.fillings > 1 && <p>It is filled {bag.fillings} times: keep the rest covered.</p>}
        </>
      )
    }
    case 'drill':
      return (
        <p>
          On the sheet, or on parchment over the printed one with plain icing: it is scraped off and used
          again while it is clean.{' '}
          <a href={`/practice/${step.id.replace(/^practise /, '')}`}>Open the sheet</a>
        </p>
      )
    case 'practise':
    case 'nails':
    case 'inPlace':
    case 'border':
      return <Holds step={step} frozen={frozen} />
    case 'cold':
      return <p>On their squares, flat, not touching. The timer starts when you tap.</p>
    case 'place':
      return (
        <p>
          Straight from the cold, one tray at a time. Press in lightly; do not put back what has begun to
          thaw.
        </p>
      )
    case 'spread':
      return <p>Even, to the edge, with a spatula.</p>
    case 'stack':
      return <p>Supports first, cut to one length; then the tier on its board.</p>
    case 'box':
      return <p>Cool, level, lid clear of the highest flower. Note what must be taken off before eating.</p>
    case 'wash':
      return <p>Tips soak, bags inside out, nails and bench.</p>
    default:
      return null
  }
}

/** Hold, motion and pressure of the layer; of several, each in a line. */
function Holds({ step, frozen: { plan, workshop } }: { step: BenchStep; frozen: Frozen }) {
  const layers = step.useIds.flatMap((id) => {
    const use = plan.uses.find((u) => u.id === id)
    const layer = workshop.flowers
      .find((f) => f.id === use?.flowerId)
      ?.layers.find((l) => l.id === use?.layerId)
    return use && layer ? [{ use, words: strokeDefinition(layer.stroke.kind).words, count: layer.count }] : []
  })
  if (layers.length === 1) {
    const { words } = layers[0]!
    return (
      <>
        <p>
          <strong>Hold</strong> {lower(words.hold)}
        </p>
        <p>
          <FirstBold words={words.pressure} /> {words.stop}
        </p>
      </>
    )
  }
  return (
    <ol data-many={layers.length > 4 || undefined}>
      {layers.map(({ use, count }) => (
        <li key={use.id}>
          <strong>{use.layerName}</strong>
          {count > 1 && `, ${count}`}
        </li>
      ))}
    </ol>
  )
}

const FirstBold = ({ words }: { words: string }) => {
  const [first, ...rest] = words.split(' ')
  return (
    <>
      <strong>{first}</strong> {rest.join(' ')}
    </>
  )
}

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)

/** A bowl as the colour's own screen says it. */
function MixSays({ step, frozen, measures }: { step: BenchStep; frozen: Frozen; measures: Measures }) {
  const { order, plan, workshop } = frozen
  const bowl = useMemo(() => {
    const icing = plan.batches.find((b) => b.id === step.batchIds[0])?.icingKindId
    return colourBowls(order, plan).find((b) => b.colourId === step.colourIds[0] && b.icingKindId === icing)
  }, [order, plan, step])
  if (!bowl) return null
  return (
    <>
      <p>{bowlStart(bowl, measures)}</p>
      <BowlDoses bowl={bowl} order={order} workshop={workshop} />
      <p>Stir it against the side of the bowl.</p>
    </>
  )
}
