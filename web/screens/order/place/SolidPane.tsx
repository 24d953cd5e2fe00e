import { useEffect, useMemo, useRef, useState } from 'react'
import type { PlacedKind } from '#core/placing/placedKinds'
import { standOf } from '#core/placing/stands'
import { quickPictures } from '../../../parts/pictures.ts'
import css3 from '../../../solid/FlowerSolid.module.css'
import { freshCanvas } from '../../../solid/freshCanvas.ts'
import { flowerPalette } from '../../../solid/palette.ts'
import type { PieceBody } from '../../../solid/pieceBody.ts'
import { createPieceScene, type PieceScene, type Stood } from '../../../solid/pieceScene.ts'
import type { DrawnLine } from './drawnLines.ts'
import { type BorderLine, borderStands } from './Grounds.tsx'
import type { LaidWords } from './lettered.ts'
import css from './Place.module.css'
import { usePieceSolids } from './usePieceSolids.ts'
import type { Placing } from './usePlacing.ts'
import { useTaken } from './useTaken.ts'

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
  const { layout, chosen, kinds } = placing
  const { chart } = placing.hand
  const host = useRef<HTMLDivElement>(null)
  const scene = useRef<PieceScene>(null)
  const onLook = useRef(props.onLook)
  onLook.current = props.onLook
  const [trouble, setTrouble] = useState(false)
  const solids = usePieceSolids(kinds, borders)

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

  const handlers = useTaken(placing, scene)
  if (trouble) return <p className={css3.trouble}>This browser has no WebGL, which the solid needs.</p>
  return <div ref={host} className={css.solid} {...handlers} />
}
