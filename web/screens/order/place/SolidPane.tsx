import { useEffect, useMemo, useRef, useState } from 'react'
import { moveBy } from '#core/placing/byHand'
import type { PlacedKind } from '#core/placing/placedKinds'
import { standOf } from '#core/placing/stands'
import { quickPictures } from '../../../parts/pictures.ts'
import css3 from '../../../solid/FlowerSolid.module.css'
import { freshCanvas } from '../../../solid/freshCanvas.ts'
import { flowerPalette } from '../../../solid/palette.ts'
import type { PieceBody } from '../../../solid/pieceBody.ts'
import { createPieceScene, type PieceScene, type Stood } from '../../../solid/pieceScene.ts'
import type { Solid } from '../../../workers/solid.worker.ts'
import { COARSE, solidOf } from '../../../workers/solids.ts'
import type { DrawnLine } from './drawnLines.ts'
import { type BorderLine, borderStands } from './Grounds.tsx'
import type { LaidWords } from './lettered.ts'
import css from './Place.module.css'
import type { Placing } from './usePlacing.ts'

/** The piece as it will look, turned by the pointer; flowers on it are chosen and dragged. */
export function SolidPane(props: {
  placing: Placing
  body: PieceBody
  borders: readonly BorderLine[]
  lettered: readonly LaidWords[]
  drawn: readonly DrawnLine[]
  looking: number
  onLook: (angle: number) => void
}) {
  const { placing, body, borders } = props
  const { hand, layout, chosen, kinds } = placing
  const { chart } = hand
  const host = useRef<HTMLDivElement>(null)
  const scene = useRef<PieceScene>(null)
  const onLook = useRef(props.onLook)
  onLook.current = props.onLook
  const [trouble, setTrouble] = useState(false)
  const solids = useSolids(kinds, borders)

  useEffect(() => {
    if (!host.current) return
    const canvas = freshCanvas(host.current, css3.canvas!, `${placing.piece.name} as a solid`)
    try {
      scene.current = createPieceScene(canvas, !quickPictures(), (angle) => onLook.current(angle))
    } catch {
      setTrouble(true)
      return
    }
    const fit = new ResizeObserver(() => scene.current?.resize(canvas.clientWidth, canvas.clientHeight))
    fit.observe(canvas)
    return () => {
      fit.disconnect()
      scene.current?.dispose()
      scene.current = null
      canvas.remove()
    }
  }, [placing.piece.name])

  useEffect(() => scene.current?.body(body), [body])
  useEffect(() => {
    scene.current?.ropes([
      ...props.lettered.flatMap(({ lines, beadMm, hex }) =>
        lines.map((points) => ({ points, radiusMm: beadMm / 2, hex })),
      ),
      ...props.drawn
        .filter(({ line }) => line.kind === 'spray')
        .map(({ points, beadMm, hex }) => ({ points, radiusMm: beadMm / 2, hex })),
    ])
  }, [props.lettered, props.drawn])
  const stands = useMemo(
    () =>
      layout.sites.flatMap((site) => {
        const kind = kinds.find((k) => k.placedId === site.placedId)
        return kind ? [{ site, kind, stand: standOf(chart, kind.kind, site) }] : []
      }),
    [layout.sites, kinds, chart],
  )
  const edges = useMemo(() => borders.map((b) => ({ b, stands: borderStands(b, chart) })), [borders, chart])
  useEffect(() => {
    const of = (kind: PlacedKind, own: Float32Array[], siteIds: string[]): Stood[] => {
      const solid = solids.get(kind.placedId)
      if (!solid) return []
      const layers = kind.layers.map((l) => l.layer)
      return [{ solid, palette: flowerPalette(layers, kind.colours), stands: own, siteIds }]
    }
    scene.current?.flowers([
      ...edges.flatMap(({ b, stands: own }) => of(b.kind, own, [])),
      ...kinds.flatMap((kind) => {
        const own = stands.filter((s) => s.kind === kind)
        return of(
          kind,
          own.map((s) => s.stand),
          own.map((s) => s.site.id),
        )
      }),
    ])
  }, [solids, stands, edges, kinds])
  useEffect(() => {
    scene.current?.chosen(
      stands.filter((s) => chosen.has(s.site.id)).map(({ stand, kind }) => ({ stand, r: kind.kind.r })),
    )
  }, [stands, chosen])

  // a flower that is taken hold of is dragged over the surface; anything else turns the piece
  const taken = useRef<{ id: string; from: { x: number; y: number; z: number } } | null>(null)
  const at = (e: React.PointerEvent<HTMLDivElement>) => {
    const box = e.currentTarget.getBoundingClientRect()
    return [e.clientX - box.left, e.clientY - box.top] as const
  }
  const dragged = (e: React.PointerEvent<HTMLDivElement>) => {
    const hit = taken.current && scene.current?.hit(...at(e))
    if (!taken.current || !hit) return null
    const { id, from } = taken.current
    const ids = chosen.has(id) ? chosen : new Set([id])
    const by = { x: hit.x - from.x, y: hit.y - from.y, z: hit.z - from.z }
    return Math.hypot(by.x, by.y, by.z) < LEAST_DRAG_MM ? null : moveBy(hand, ids, by)
  }
  if (trouble) return <p className={css3.trouble}>This browser has no WebGL, which the solid needs.</p>
  return (
    <div
      ref={host}
      className={css.solid}
      onPointerDownCapture={(e) => {
        const id = scene.current?.pick(...at(e))
        if (!id) return
        const hit = scene.current?.hit(...at(e))
        scene.current?.turnable(false)
        if (!chosen.has(id)) placing.choose([id], e.shiftKey)
        if (hit) taken.current = { id, from: hit }
        e.currentTarget.setPointerCapture(e.pointerId)
      }}
      onPointerMove={(e) => {
        const next = dragged(e)
        if (next) placing.drag(next)
      }}
      onPointerUp={(e) => {
        const next = dragged(e)
        taken.current = null
        scene.current?.turnable(true)
        placing.drag(null)
        if (next) placing.change('move', () => next)
      }}
    />
  )
}

const LEAST_DRAG_MM = 1.5

/** Coarse solids of everything that stands on a piece, by placed flower. */
function useSolids(kinds: readonly PlacedKind[], borders: readonly BorderLine[]): ReadonlyMap<string, Solid> {
  const [solids, setSolids] = useState<ReadonlyMap<string, Solid>>(new Map())
  const all = useMemo(() => [...kinds, ...borders.map((b) => b.kind)], [kinds, borders])
  useEffect(() => {
    let current = true
    setSolids(new Map())
    // each is shown as soon as it is there
    for (const k of all)
      void solidOf(k.layers, 1, COARSE).then((solid) => {
        if (current) setSolids((now) => new Map(now).set(k.placedId, solid))
      })
    return () => {
      current = false
    }
  }, [all])
  return solids
}
