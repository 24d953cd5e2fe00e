import type { Bag, Plan } from '#core/model/plan'
import type { Workshop } from '#core/model/workshop'
import { shortOpening } from '#core/tips/index'
import { BagDrawing } from '../../../drawings/BagDrawing.tsx'
import { OpeningDrawing } from '../../../drawings/OpeningDrawing.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import css from './Bags.module.css'
import { bagDrawn } from './bagDrawn.ts'
import { PX_PER_MM } from './scale.ts'

/** One bag hanging on the rail: the bag, its first opening, and what it holds. */
export function BagTile(props: {
  bag: Bag
  plan: Plan
  workshop: Workshop
  selected: boolean
  select: () => void
}) {
  const { bag, plan, workshop } = props
  const weight = useWeight()
  const drawn = bagDrawn(bag, plan, workshop)
  const first = drawn.tips[0]
  const more = drawn.tips.length - 1
  return (
    <li>
      <button type="button" className={css.tile} aria-pressed={props.selected} onClick={props.select}>
        <BagDrawing
          number={bag.number}
          stripes={drawn.stripes}
          fill={drawn.fill}
          coupler={bag.coupler}
          parchment={drawn.parchment}
          cut={drawn.cut}
          width={78}
          label={bag.label}
        />
        {first && (
          <OpeningDrawing
            opening={first.opening}
            box={48}
            pxPerMm={PX_PER_MM}
            fills={drawn.fills}
            id={`tile-${bag.number}`}
          />
        )}
        <strong>{first ? shortOpening(first.opening) : 'no tip'}</strong>
        <span className="quiet">
          {more > 0 ? `and ${more} more on a coupler` : drawn.colourNames.join(' + ')}
        </span>
        <span className={`${css.grams} figure`}>{weight(bag.grams)}</span>
      </button>
    </li>
  )
}
