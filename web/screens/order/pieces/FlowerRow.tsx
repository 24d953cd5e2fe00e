import { useCallback, useMemo } from 'react'
import { flowerForOrder } from '#core/flowers/forOrder'
import { flowersOn } from '#core/model/arrangements'
import type { Flower } from '#core/model/flower'
import { takeOff } from '#core/model/onPiece'
import type { Piece, PlacedFlower } from '#core/model/order'
import type { Plan } from '#core/model/plan'
import { surfaceDefinition } from '#core/surfaces/index'
import { countIn, useOrderEditor } from '../../../data/orderEditor.tsx'
import { useWeight, Was } from '../../../parts/weight.tsx'
import { usePicture } from '../../../workers/flowers.ts'
import type { ChangeFlower } from './changeFlower.ts'
import { FlowerFields } from './FlowerFields.tsx'
import { FlowerMenu } from './FlowerMenu.tsx'
import css from './Pieces.module.css'

/** A flower on a piece: how many, how large, in which colours, what all of them weigh. */
export function FlowerRow({ piece, placed }: { piece: Piece; placed: PlacedFlower }) {
  const { workshop } = useOrderEditor()
  const recipe = workshop.flowers.find((f) => f.id === placed.flowerId)
  return recipe ? <KnownRow piece={piece} placed={placed} recipe={recipe} /> : null
}

function KnownRow({ piece, placed, recipe }: { piece: Piece; placed: PlacedFlower; recipe: Flower }) {
  const { order, workshop, plan, planOf, before, edit } = useOrderEditor()
  const weight = useWeight()
  const { flower, colours: roles } = useMemo(() => flowerForOrder(recipe, placed), [recipe, placed])
  const { picture } = usePicture(flower, placed, workshop)
  const change = useCallback<ChangeFlower>(
    (label, part) =>
      edit(
        `${recipe.name}: ${label}`,
        (o) => ({
          ...o,
          pieces: o.pieces.map((p) =>
            p.id === piece.id
              ? {
                  ...p,
                  flowers: p.flowers.map((f) =>
                    f.id === placed.id ? { ...f, ...(typeof part === 'function' ? part(f) : part) } : f,
                  ),
                }
              : p,
          ),
        }),
        `${piece.id} ${placed.id} ${label}`,
      ),
    [edit, recipe.name, piece.id, placed.id],
  )
  const remove = useCallback(
    () => edit(`${recipe.name}: remove`, (o) => takeOff(o, piece.id, placed.id)),
    [edit, recipe.name, piece.id, placed.id],
  )
  const colours = useMemo(
    () =>
      Object.fromEntries(
        flower.roles.map((r) => [r.id, order.colours.find((c) => c.id === roles[r.id])?.hex ?? r.hex]),
      ),
    [flower.roles, order.colours, roles],
  )
  const edges = useMemo(() => surfaceDefinition(piece.shape.kind).edges(piece.shape), [piece.shape])
  const use = plan?.uses.find((u) => u.pieceId === piece.id && u.placedId === placed.id)
  const grams = pipedBy(plan, piece.id, placed.id)
  const gramsBefore = pipedBy(before, piece.id, placed.id)
  const own = { pieceName: piece.name, placed, recipe, flower, picture, change }
  return (
    <div className={css.row}>
      <FlowerFields
        {...own}
        pieceId={piece.id}
        colours={colours}
        stands={piece.layouts.length > 0 ? numberWords(flowersOn(piece, placed) / piece.count) : null}
        units={use ? Math.round(use.flowers / countIn(planOf, piece)) : null}
        edges={edges}
      />
      <div className={css.weight}>
        <small className={css.all}>all of them</small>
        {grams === undefined ? '…' : weight(grams)}
        <div>
          <Was
            now={weight(grams ?? 0)}
            before={gramsBefore === undefined ? undefined : weight(gramsBefore)}
          />
        </div>
      </div>
      <FlowerMenu {...own} remove={remove} />
    </div>
  )
}

/** How many of a flower stand on each, where every one has its place: on the average, where like pieces differ. */
function numberWords(each: number): string {
  if (each === 0) return 'not placed yet'
  return `${Number.isInteger(each) ? each : `about ${each.toFixed(1)}`} placed`
}

function pipedBy(plan: Plan | undefined, pieceId: string, placedId: string): number | undefined {
  return plan?.uses
    .filter((u) => u.pieceId === pieceId && u.placedId === placedId)
    .reduce((sum, u) => sum + u.parts.reduce((s, p) => s + p.piped, 0), 0)
}
