import {
  IconBox,
  IconDroplet,
  IconFridge,
  IconHandMove,
  IconSnowflake,
  IconStack2,
  IconWashHand,
  IconWhirl,
} from '@tabler/icons-react'
import { lazy, Suspense, useMemo } from 'react'
import { nextPlace } from '#core/bench/lit'
import { flowerForOrder } from '#core/flowers/forOrder'
import type { BenchStep, Frozen } from '#core/model/bench'
import type { Use } from '#core/model/plan'
import { OrderPiece } from '../../drawings/OrderPiece.tsx'
import { usePicture } from '../../workers/flowers.ts'
import { useSolid } from '../../workers/solids.ts'
import css from './Bench.module.css'
import { SeeItPiped } from './SeeItPiped.tsx'

// three.js comes only where a solid is shown
const FlowerSolid = lazy(async () => ({ default: (await import('../../solid/FlowerSolid.tsx')).FlowerSolid }))

const SEED = 1
const PIECE_PX = 250

/** The one picture that answers what is asked at a step. */
export function StepPicture({ step, frozen, count }: { step: BenchStep; frozen: Frozen; count: number }) {
  const use = frozen.plan.uses.find((u) => u.id === step.useIds[0])
  switch (step.kind) {
    case 'practise':
    case 'nails':
    case 'inPlace':
    case 'border':
      return use ? <Solid key={use.placedId} step={step} use={use} frozen={frozen} /> : null
    case 'mix':
    case 'thin': {
      const colour = frozen.plan.colours.find((c) => c.id === step.colourIds[0])
      return (
        <div
          className={css.swatch}
          style={{ background: colour?.hex }}
          role="img"
          aria-label={colour?.name}
        />
      )
    }
    case 'place':
      return <Placed step={step} frozen={frozen} count={count} />
    case 'cold':
      return step.where.startsWith('freezer') ? <Sign of={IconSnowflake} /> : <Sign of={IconFridge} />
    case 'base':
      return <Sign of={IconWhirl} />
    case 'drill':
      return <Sign of={IconHandMove} />
    case 'stack':
      return <Sign of={IconStack2} />
    case 'wash':
      return <Sign of={IconWashHand} />
    case 'fill':
      return <Sign of={IconDroplet} />
    default:
      return step.pieceId ? (
        <OrderPiece order={frozen.order} pieceId={step.pieceId} workshop={frozen.workshop} size={PIECE_PX} />
      ) : (
        <Sign of={IconBox} />
      )
  }
}

/** The piece with the place of the next flower pointed out. */
function Placed({ step, frozen, count }: { step: BenchStep; frozen: Frozen; count: number }) {
  const next = useMemo(() => nextPlace(step, frozen, count), [step, frozen, count])
  const pieces = frozen.order.pieces.find((p) => p.id === step.pieceId)?.count ?? 1
  if (!step.pieceId) return null
  return (
    <figure className={css.placed}>
      <OrderPiece
        order={frozen.order}
        pieceId={step.pieceId}
        workshop={frozen.workshop}
        size={PIECE_PX}
        lit={next}
      />
      {next && (
        <figcaption>
          {pieces > 1 ? `piece ${next.piece} of ${pieces}: ` : ''}the ring is the next place
        </figcaption>
      )}
    </figure>
  )
}

const Sign = ({ of: Icon }: { of: typeof IconBox }) => <Icon size={220} stroke={0.9} aria-hidden="true" />

/** The flower up to the layer that is piped now. */
function Solid({ step, use, frozen }: { step: BenchStep; use: Use; frozen: Frozen }) {
  const { order, workshop, plan } = frozen
  const placed = order.pieces.find((p) => p.id === use.pieceId)?.flowers.find((f) => f.id === use.placedId)
  const made = useMemo(() => {
    const recipe = workshop.flowers.find((f) => f.id === placed?.flowerId)
    return recipe && placed ? flowerForOrder(recipe, placed) : null
  }, [workshop, placed])
  const { picture } = usePicture(made?.flower, placed ?? { sizeMm: null, tips: {} }, workshop)
  // as it is when this step is done: what comes later neither shows nor throws a shadow
  const piled = useMemo(() => {
    const now = new Set(step.useIds.map((id) => plan.uses.find((u) => u.id === id)?.layerId))
    const last = Math.max(-1, ...(picture?.layers ?? []).map(({ layer }, i) => (now.has(layer.id) ? i : -1)))
    return picture?.layers.slice(0, last + 1)
  }, [picture, step, plan.uses])
  const solid = useSolid(piled, SEED, picture?.run ?? null)
  const layers = useMemo(() => piled?.map((l) => l.layer) ?? [], [piled])
  const colours = useMemo(() => {
    const hexes = new Map(plan.colours.map((c) => [c.id, c.hex]))
    return Object.fromEntries(
      (made?.flower.roles ?? []).map((r) => [r.id, hexes.get(made?.colours[r.id] ?? '') ?? r.hex]),
    )
  }, [made, plan.colours])
  if (!solid || layers.length === 0) return null
  return (
    <>
      {made && picture && (
        <SeeItPiped
          flower={made.flower}
          picture={picture}
          layer={step.useIds.length > 1 && layers.length === picture.layers.length ? null : layers.length - 1}
          colours={colours}
          hand={workshop.settings.hand}
        />
      )}
      <Suspense fallback={null}>
        <FlowerSolid
          solid={solid}
          layers={layers}
          colours={colours}
          shown={null}
          rings={false}
          cupcake={false}
          label={`${use.flowerName}, as it is when this step is done`}
          onPick={() => {}}
          onScene={() => {}}
        />
      </Suspense>
    </>
  )
}
