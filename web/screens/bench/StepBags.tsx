import { lookalikes } from '#core/bench/confusable'
import type { BenchStep, Frozen } from '#core/model/bench'
import type { Bag } from '#core/model/plan'
import { strokeDefinition } from '#core/strokes/index'
import { shortOpening } from '#core/tips/index'
import { BagDrawing } from '../../drawings/BagDrawing.tsx'
import { OpeningDrawing } from '../../drawings/OpeningDrawing.tsx'
import { bagDrawn } from '../order/bags/bagDrawn.ts'
import css from './Bench.module.css'

const BAG_PX = 92
const SMALL_PX = 52
const OPENING_PX = 110
const SCALE = 6

/** The bags of a step as they lie on the table: the one of a layer large, with its opening and its clock; several in their order. */
export function StepBags({ step, frozen }: { step: BenchStep; frozen: Frozen }) {
  const bags = step.bags.flatMap((n) => frozen.plan.bags.find((b) => b.number === n) ?? [])
  const [bag] = bags
  if (!bag) return <div />
  if (bags.length > 1)
    return (
      <div className={css.bags}>
        {bags.map((b) => (
          <figure key={b.number}>
            <strong>{b.number}</strong>
            <Drawn bag={b} frozen={frozen} width={SMALL_PX} />
            {layersFrom(b, step, frozen)}
          </figure>
        ))}
      </div>
    )
  const drawn = bagDrawn(bag, frozen.plan, frozen.workshop)
  const use = frozen.plan.uses.find((u) => step.useIds.includes(u.id) && bag.useIds.includes(u.id))
  const tip = drawn.tips.find((t) => t.id === use?.tipId) ?? drawn.tips[0]
  const clock = clockOf(step, frozen)
  return (
    <div className={css.bag}>
      <Drawn bag={bag} frozen={frozen} width={BAG_PX} />
      <div>
        <h2>{drawn.colourNames.join(' + ')}</h2>
        <p>
          {tip ? shortOpening(tip.opening) : 'no tip'}, {bag.stiffness}
        </p>
      </div>
      {tip && (
        <div className={css.round}>
          <OpeningDrawing
            opening={tip.opening}
            box={OPENING_PX}
            pxPerMm={SCALE}
            fills={drawn.fills}
            id={`bench-${bag.number}`}
          />
          end-on
        </div>
      )}
      {clock !== null && (
        <div className={css.round}>
          <Clock at={clock} />
          bag at {clock} o’clock
        </div>
      )}
    </div>
  )
}

/** The two bags that are most easily taken in the place of this one, struck out. */
export function NotThese({ step, frozen }: { step: BenchStep; frozen: Frozen }) {
  const bag = frozen.plan.bags.find((b) => b.number === step.bags[0])
  const others = bag ? lookalikes(bag, frozen.plan, frozen.workshop.tips) : []
  if (!bag || step.bags.length > 1 || others.length === 0) return <div />
  return (
    <div className={css.others}>
      {others.map(({ number, words }) => (
        <div key={number} className={css.others}>
          <Drawn bag={frozen.plan.bags.find((b) => b.number === number)!} frozen={frozen} width={44} struck />
          <div>
            <h2>Not bag {number}</h2>
            <p>{words}</p>
          </div>
        </div>
      ))}
    </div>
  )
}

function Drawn(props: { bag: Bag; frozen: Frozen; width: number; struck?: boolean }) {
  const { bag, frozen, width } = props
  const drawn = bagDrawn(bag, frozen.plan, frozen.workshop)
  return (
    <span style={{ position: 'relative', display: 'inline-block', opacity: props.struck ? 0.75 : 1 }}>
      <BagDrawing
        number={bag.number}
        stripes={drawn.stripes}
        fill={drawn.fill}
        coupler={bag.coupler}
        parchment={drawn.parchment}
        cut={drawn.cut}
        width={width}
        label={bag.label}
      />
      {props.struck && (
        <svg
          viewBox="0 0 10 20"
          preserveAspectRatio="none"
          aria-hidden="true"
          style={{ position: 'absolute', inset: 0, width: '100%', height: '100%' }}
        >
          <path d="M1 19L9 1" stroke="var(--text)" strokeWidth={0.8} />
        </svg>
      )}
    </span>
  )
}

function layersFrom(bag: Bag, step: BenchStep, { plan }: Frozen): string {
  const names = plan.uses
    .filter((u) => step.useIds.includes(u.id) && bag.useIds.includes(u.id))
    .map((u) => u.layerName)
  return names.length > 2 ? `${names[0]} to ${names.at(-1)!.toLowerCase()}` : names.join(', ')
}

/** Where the back of the bag points to for the hand of the bakery; null where it does not matter. */
function clockOf(step: BenchStep, { plan, workshop }: Frozen): number | null {
  const use = plan.uses.find((u) => u.id === step.useIds[0])
  const layer = workshop.flowers
    .find((f) => f.id === use?.flowerId)
    ?.layers.find((l) => l.id === use?.layerId)
  const clock = layer ? strokeDefinition(layer.stroke.kind).words.clock : null
  if (clock === null) return null
  return workshop.settings.hand === 'left' ? 12 - (clock % 12) : clock
}

function Clock({ at }: { at: number }) {
  const angle = (at * Math.PI) / 6
  const to = (r: number, turn = 0) => `${60 + r * Math.sin(angle + turn)} ${60 - r * Math.cos(angle + turn)}`
  return (
    <svg
      viewBox="0 0 120 120"
      width={OPENING_PX}
      role="img"
      aria-label={`The back of the bag at ${at} o’clock`}
    >
      <circle cx={60} cy={60} r={55} fill="none" stroke="var(--line-strong)" />
      {[12, 3, 6, 9].map((h) => (
        <text
          key={h}
          x={60 + 43 * Math.sin((h * Math.PI) / 6)}
          y={65 - 43 * Math.cos((h * Math.PI) / 6)}
          textAnchor="middle"
          fontSize={15}
          fill="var(--text)"
        >
          {h}
        </text>
      ))}
      <path d={`M${to(12)}L${to(54, 0.22)}L${to(54, -0.22)}Z`} fill="var(--text)" />
    </svg>
  )
}
