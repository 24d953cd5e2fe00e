import { useCallback, useMemo, useRef, useState } from 'react'
import { type Layout, layoutSchema } from '#core/model/layout'
import type { Piece } from '#core/model/order'
import { isStrewn } from '#core/model/setOn'
import type { Hand } from '#core/placing/byHand'
import type { PlacedKind } from '#core/placing/placedKinds'
import { schoolOf } from '#core/placing/schools/index'
import { chartOf } from '#core/surfaces/index'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { newId } from '../../../parts/newId.ts'
import { placing, useKinds } from '../../../workers/placing.ts'
import type { Judgement } from '../../../workers/placing.worker.ts'
import { useLatest } from '../../../workers/useLatest.ts'

/** One arrangement of one piece on screen: what stands where, what is chosen, and the ways to change it. */
export interface Placing {
  piece: Piece
  /** Flowers that have places, and borders. */
  kinds: readonly PlacedKind[]
  borders: readonly PlacedKind[]
  hand: Hand
  /** The arrangement as it is shown: while something is dragged, as it would be. */
  layout: Layout
  /** Which of the piece's arrangements. */
  index: number
  show(index: number): void
  chosen: ReadonlySet<string>
  choose(ids: Iterable<string>, more?: boolean): void
  /** Shows a layout without storing it, while a hand drags; null to go back. */
  drag(layout: Layout | null): void
  change(label: string, how: (now: Hand) => Layout, key?: string): void
  /** Places all of it anew, in a school or with a seed; first at once, then better. */
  lay(label: string, part: Partial<Layout>): void
  /** So many of one flower: more come into the barest places, the last ones come off. */
  number(placedId: string, wanted: number): void
  laying: boolean
  judgement: Judgement | undefined
  kindOf(placedId: string): PlacedKind | undefined
}

const NONE: ReadonlySet<string> = new Set()

/** @returns null while the flowers of the piece are being worked out. */
export function usePlacing(piece: Piece): Placing | null {
  const { order, workshop, edit } = useOrderEditor()
  const all = useKinds(order, piece, workshop)
  const chart = useMemo(() => chartOf(piece.shape), [piece.shape])
  const [index, setIndex] = useState(0)
  const [chosen, setChosen] = useState<ReadonlySet<string>>(NONE)
  const [dragged, setDragged] = useState<Layout | null>(null)
  const [laying, setLaying] = useState(0)
  const at = Math.min(index, Math.max(0, piece.layouts.length - 1))
  const stored = piece.layouts[at]
  const empty = useMemo(() => layoutSchema.parse({ id: 'none', schoolId: 'none' }), [])
  const layout = dragged ?? stored ?? empty

  const mine = useMemo(() => {
    const strewn = new Set(order.setOns.filter((t) => isStrewn(t.kind)).map((t) => t.id))
    const ids = new Set([
      ...piece.flowers.map((f) => f.id),
      ...piece.setOns.filter((s) => !strewn.has(s.setOnId)).map((s) => s.id),
    ])
    const known = all?.filter((k) => ids.has(k.placedId))
    return known?.length === ids.size ? known : undefined
  }, [all, piece.flowers, piece.setOns, order.setOns])
  // while a flower that has just come is worked out, the others stay on screen
  const last = useRef<{ pieceId: string; kinds: PlacedKind[] } | null>(null)
  if (mine) last.current = { pieceId: piece.id, kinds: mine }
  const shown = mine ?? (last.current?.pieceId === piece.id ? last.current.kinds : undefined)
  const kinds = useMemo(() => shown?.filter((k) => k.form !== 'border'), [shown])
  const borders = useMemo(() => shown?.filter((k) => k.form === 'border') ?? [], [shown])
  const plain = useMemo(() => kinds?.map((k) => k.kind), [kinds])

  const lidMm = order.travel === 'onSite' ? null : order.boxMm
  const ask = useMemo(() => {
    if (!plain || !kinds || !stored) return null
    const names = kinds.map((k): [string, string] => [k.placedId, k.name])
    return () => placing(workshop).judge({ shape: piece.shape }, plain, names, stored, lidMm)
  }, [workshop, piece.shape, plain, kinds, stored, lidMm])
  const { answer: judgement } = useLatest<Judgement>(ask)

  const put = useCallback(
    (label: string, how: (layouts: Layout[], now: Piece) => Layout[], key: string, oneAct = false) =>
      edit(
        label,
        (o) => ({
          ...o,
          pieces: o.pieces.map((p) => (p.id === piece.id ? { ...p, layouts: how(p.layouts, p) } : p)),
        }),
        key,
        oneAct,
      ),
    [edit, piece.id],
  )
  const run = useRef(0)
  const lay = useCallback(
    (label: string, part: Partial<Layout>) => {
      // placed anew only when all of them are known: none is lost
      if (!plain || !mine) return
      run.current += 1
      const mineRun = run.current
      const base = stored ?? layoutSchema.parse({ id: newId(), schoolId: 'dome' })
      const wanted = { ...base, ...part }
      const numbers = numbersOf(piece, stored)
      const key = `${piece.id} lay ${mineRun}`
      const worker = placing(workshop)
      const store = (next: Layout) =>
        put(
          label,
          (layouts) =>
            layouts.some((l) => l.id === next.id)
              ? layouts.map((l) => (l.id === next.id ? next : l))
              : [...layouts, next],
          key,
          // first at once, then better: one act
          true,
        )
      setLaying((n) => n + 1)
      void (async () => {
        try {
          const first = await worker.lay({ shape: piece.shape }, plain, wanted, numbers, false)
          if (run.current !== mineRun) return
          store(first)
          const better = await worker.lay({ shape: piece.shape }, plain, wanted, numbers, true)
          // whoever has moved something meanwhile keeps it
          if (run.current === mineRun) store({ ...better, sites: sameIds(first, better) })
        } finally {
          setLaying((n) => n - 1)
        }
      })()
    },
    [plain, mine, stored, piece, workshop, put],
  )
  const number = useCallback(
    (placedId: string, wanted: number) => {
      if (!plain || !stored) return
      run.current += 1
      const mineRun = run.current
      void placing(workshop)
        .number({ shape: piece.shape }, plain, stored, placedId, wanted)
        .then((next) => {
          // whoever has changed something meanwhile keeps it
          if (run.current === mineRun)
            put(
              'number',
              (layouts) => layouts.map((l) => (l.id === next.id ? next : l)),
              `${piece.id} number ${placedId}`,
            )
        })
    },
    [plain, stored, workshop, piece.shape, piece.id, put],
  )
  const change = useCallback(
    (label: string, how: (now: Hand) => Layout, key?: string) => {
      if (!plain) return
      run.current += 1
      put(
        label,
        (layouts, now) =>
          layouts.map((l) =>
            l.id === stored?.id ? how({ chart: chartOf(now.shape), kinds: plain, layout: l }) : l,
          ),
        key ?? `${piece.id} ${label} ${newId()}`,
      )
    },
    [plain, put, stored?.id, piece.id],
  )
  const hand = useMemo(
    () => plain && { chart, kinds: plain, layout: stored ?? empty },
    [chart, plain, stored, empty],
  )
  if (!kinds || !hand) return null
  return {
    ...{ piece, kinds, borders, hand, layout, index: at, chosen: within(chosen, layout), laying: laying > 0 },
    show(next) {
      setIndex(next)
      setChosen(NONE)
    },
    choose(ids, more = false) {
      const next = new Set(more ? chosen : [])
      for (const id of ids) {
        if (more && next.has(id)) next.delete(id)
        else next.add(id)
      }
      setChosen(next)
    },
    drag: setDragged,
    change,
    lay,
    number,
    judgement: stored ? judgement : undefined,
    kindOf: (placedId) => kinds.find((k) => k.placedId === placedId),
  }
}

const within = (chosen: ReadonlySet<string>, { sites }: Layout): ReadonlySet<string> =>
  new Set(sites.filter((s) => chosen.has(s.id)).map((s) => s.id))

/** How many of each there are: in the arrangement, or as the piece says. */
function numbersOf(piece: Piece, layout: Layout | undefined): [string, number][] {
  const standing = (id: string) => layout?.sites.filter((s) => s.placedId === id).length
  return [
    ...piece.flowers.flatMap(({ id, placement }): [string, number][] =>
      placement.kind === 'each' ? [[id, standing(id) ?? placement.perPiece]] : [],
    ),
    ...piece.setOns.map(({ id, perPiece }): [string, number] => [id, standing(id) ?? Math.round(perPiece)]),
  ]
}

/** The better layout's flowers under the ids of the first, kind by kind, so that nothing chosen is lost. */
function sameIds(first: Layout, better: Layout) {
  const free = new Map<string, string[]>()
  for (const s of first.sites) free.set(s.placedId, [...(free.get(s.placedId) ?? []), s.id])
  const ids = new Map(better.sites.map((s) => [s.id, free.get(s.placedId)?.shift() ?? s.id]))
  return better.sites.map((s) => ({
    ...s,
    id: ids.get(s.id)!,
    hostId: s.hostId && (ids.get(s.hostId) ?? null),
  }))
}

/** The school that suits a piece to begin with. */
export function firstSchool(piece: Piece): string {
  const { shape } = piece
  if (shape.kind === 'cake') return shape.tiers.length > 1 ? 'fall' : 'crescent'
  if (shape.kind === 'sheet') return 'spray'
  const flowers = piece.flowers.reduce(
    (sum, { placement }) => sum + (placement.kind === 'each' ? placement.perPiece : 0),
    0,
  )
  return schoolOf(flowers > 6 ? 'dome' : 'single').id
}
