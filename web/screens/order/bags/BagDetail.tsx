import { stiffnessWord } from '#core/icings/setting'
import { loadDefinition } from '#core/loads/index'
import type { Order } from '#core/model/order'
import type { Bag, Plan } from '#core/model/plan'
import type { Workshop } from '#core/model/workshop'
import { describeOpening } from '#core/tips/index'
import { counted } from '#core/units'
import { OpeningDrawing } from '../../../drawings/OpeningDrawing.tsx'
import { Term } from '../../../glossary/Term.tsx'
import { NamedDab } from '../../../parts/Swatch.tsx'
import { useParts, useWeight } from '../../../parts/weight.tsx'
import css from './Bags.module.css'
import { bagDrawn } from './bagDrawn.ts'
import { Pins } from './Pins.tsx'
import { PX_PER_MM } from './scale.ts'

/** Everything about one bag: its load, how to fill it, every tip it carries, and what it feeds. */
export function BagDetail(props: { bag: Bag; plan: Plan; workshop: Workshop; order: Order }) {
  const { bag, plan, workshop, order } = props
  const weight = useWeight()
  const inIt = useParts()(bag.load.map((l) => l.grams))
  const drawn = bagDrawn(bag, plan, workshop)
  const hexes = new Map(plan.colours.map((c) => [c.id, c.hex]))
  const uses = plan.uses.filter((u) => bag.useIds.includes(u.id))
  const pieces = new Map(order.pieces.map((p) => [p.id, p.name]))
  return (
    <>
      <header className={css.bagHead}>
        <h2>{`Bag ${bag.number}${bag.layout === 'plain' ? '' : `, ${loadDefinition(bag.layout).label}`}`}</h2>
        <Term id="stiffness">
          {stiffnessWord(workshop.icings.find((i) => i.id === bag.icingKindId)!, bag.stiffness)}
        </Term>
      </header>
      <ul className={css.loads}>
        {bag.load.map((l, i) => (
          <li key={l.colourId}>
            <NamedDab hex={hexes.get(l.colourId) ?? '#ffffff'} name={drawn.colourNames[i]!} />
            <span className="figure">{inIt.parts[i]}</span>
          </li>
        ))}
      </ul>
      {bag.layout !== 'plain' && (
        <ol className={css.filling}>
          {loadDefinition(bag.layout)
            .filling(drawn.colourNames)
            .map((step) => (
              <li key={step}>{step}</li>
            ))}
        </ol>
      )}
      <p className={css.how}>
        {fillingWords()} {bag.coupler !== 'none' && <Term id="coupler">What is a coupler?</Term>}
        {bag.layout === 'striped' && <Term id="striped">What is striped?</Term>}
        {bag.layout === 'halves' && <Term id="halves">What are halves?</Term>}
      </p>
      {bag.reuses !== null && (
        <p className={css.how}>
          The same bag as {bag.reuses}, scraped out: one bag passes through the colours.
        </p>
      )}
      {bag.keptFor !== null && (
        <p className={css.how}>
          Keep it aside, tip down in a damp cloth, until{' '}
          {plan.colours.find((c) => c.id === bag.keptFor)?.name} is mixed: a layer of it stands on that
          colour.
        </p>
      )}
      {bag.washes > 0 && (
        <p className={css.how}>
          Wash a tip {bag.washes === 1 ? 'once' : `${bag.washes} times`} to come to it from another bag.
        </p>
      )}
      <ul className={css.tips}>
        {drawn.tips.map((tip) => (
          <li key={tip.id}>
            <OpeningDrawing
              opening={tip.opening}
              box={74}
              pxPerMm={PX_PER_MM}
              fills={drawn.fills}
              id={`detail-${bag.number}-${tip.id}`}
            />
            <div>
              <strong>{describeOpening(tip.opening)}</strong>
              <div className="quiet">
                {tip.stamp && `stamped “${tip.stamp}” · `}
                {tip.base === 'none'
                  ? 'no tip, cut the point'
                  : tip.owned > 0
                    ? `${tip.owned} in the drawer`
                    : 'not in the drawer'}
              </div>
              <div className="quiet">
                {[
                  ...new Set(
                    uses
                      .filter((u) => u.tipId === tip.id)
                      .map(
                        (u) =>
                          `${u.flowerName}: ${u.form === 'words' ? u.layerName : u.layerName.toLowerCase()}`,
                      ),
                  ),
                ].join('; ')}
              </div>
            </div>
          </li>
        ))}
      </ul>
      <Pins bag={bag} plan={plan} />
      <p className="quiet">
        For {[...new Set(uses.map((u) => pieces.get(u.pieceId)))].join(', ')}.
        {bag.topUpGrams > 0.5 &&
          ` ${weight(bag.topUpGrams)} of it is only there so that the bag can be worked.`}
      </p>
    </>
  )

  function fillingWords(): string {
    const where = drawn.stock ? drawn.stock.name.toLowerCase() : 'a bag you do not have yet'
    const times =
      bag.fillings > 1
        ? `, in ${counted(bag.fillings, 'filling')} of ${weight(bag.grams / bag.fillings)}`
        : ''
    const tip =
      bag.coupler === 'none'
        ? drawn.cut
          ? 'Cut the point to size when it is filled.'
          : 'The tip sits straight in the bag.'
        : `${bag.coupler === 'large' ? 'Large' : 'Standard'} coupler, ${counted(bag.changes, 'change')}.`
    return `${inIt.total} in ${where.startsWith('a ') ? where : `one ${where}`}${times}. ${tip} Two thirds full at most: twist it shut and push out the air.`
  }
}
