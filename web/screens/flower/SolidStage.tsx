import { Button, SegmentedControl, Switch } from '@mantine/core'
import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react'
import type { Flower } from '#core/model/flower'
import type { StrokeRange } from '#core/solids/mesh'
import { strokeDefinition } from '#core/strokes/index'
import { Loading } from '../../parts/states.tsx'
import type { FlowerScene } from '../../solid/scene.ts'
import type { Picture } from '../../workers/flowers.worker.ts'
import type { Solid } from '../../workers/solid.worker.ts'
import { useSolid } from '../../workers/solids.ts'
import css from './Studio.module.css'

// three.js comes only where a solid is shown
const FlowerSolid = lazy(async () => ({ default: (await import('../../solid/FlowerSolid.tsx')).FlowerSolid }))

const views = [
  { value: '15', label: 'side' },
  { value: '46', label: 'slant' },
  { value: '88', label: 'above' },
]
const SEED = 1

/** The flower as a solid: turn it, look from three sides, see it grow, rest on a stroke to hear what it is. */
export function SolidStage(props: {
  flower: Flower
  picture: Picture | undefined
  colours: Readonly<Record<string, string>>
  layerId: string | null
  alone: boolean
  setAlone: (alone: boolean) => void
  onScene: (scene: FlowerScene | null) => void
  onSolid: (solid: Solid | undefined) => void
}) {
  const { flower, picture, colours, layerId, alone, onScene, onSolid } = props
  const [seed, setSeed] = useState(SEED)
  const [view, setView] = useState('46')
  const [rings, setRings] = useState(false)
  const [cupcake, setCupcake] = useState(false)
  const [under, setUnder] = useState<StrokeRange | null>(null)
  const solid = useSolid(picture?.layers, seed, picture?.run ?? null)
  useEffect(() => onSolid(solid), [onSolid, solid])
  const layers = useMemo(() => picture?.layers.map((l) => l.layer) ?? [], [picture])
  const scene = useRef<FlowerScene>(null)
  const takeScene = (next: FlowerScene | null) => {
    scene.current = next
    onScene(next)
  }
  const shown = useMemo(() => {
    const at = layers.findIndex((l) => l.id === layerId)
    if (!solid || at < 0) return null
    const own = solid.mesh.strokes.filter((s) => s.layer === at)
    const first = own[0]
    const last = own.at(-1)
    if (!first || !last) return null
    const end = last.start + last.count
    return alone ? { start: first.start, count: end - first.start } : { start: 0, count: end }
  }, [solid, layers, layerId, alone])
  const soFar = shown && !alone && solid && shown.count < solid.mesh.indices.length
  const layer = under ? layers[under.layer] : undefined
  const definition = layer ? strokeDefinition(layer.stroke.kind) : null

  return (
    <section className={css.stage} aria-label="The flower">
      {solid && layers.length > 0 ? (
        <Suspense fallback={<Loading what="the solid" />}>
          <FlowerSolid
            solid={solid}
            layers={layers}
            colours={colours}
            shown={shown}
            rings={rings}
            cupcake={cupcake}
            label={`${flower.name} as a solid; drag to turn it`}
            onPick={setUnder}
            onScene={takeScene}
          />
        </Suspense>
      ) : (
        <Loading what="the solid" />
      )}
      <p className={css.under} aria-live="polite">
        {layer && definition && under ? (
          <>
            <strong>
              {layer.name}, {under.index + 1} of{' '}
              {solid?.mesh.strokes.filter((s) => s.layer === under.layer).length}
            </strong>
            <br />
            <span className="quiet">{definition.words.hold}</span>
          </>
        ) : (
          <span className="quiet">
            {soFar
              ? 'As far as it is piped with this layer. Close the layer to see all of it.'
              : 'Drag to turn it; press a stroke to hear what it is.'}
          </span>
        )}
      </p>
      <div className={css.stageTools}>
        <SegmentedControl
          size="xs"
          aria-label="View"
          value={view}
          onChange={(v) => {
            setView(v)
            scene.current?.look(Number(v))
          }}
          data={views}
        />
        <Switch
          size="xs"
          label="rings 10 mm apart"
          checked={rings}
          onChange={(e) => setRings(e.currentTarget.checked)}
        />
        <Switch
          size="xs"
          label="on a 64 mm cupcake"
          checked={cupcake}
          onChange={(e) => setCupcake(e.currentTarget.checked)}
        />
        {layers.some((l) => l.id === layerId) && (
          <Switch
            size="xs"
            label="only this layer"
            checked={alone}
            onChange={(e) => props.setAlone(e.currentTarget.checked)}
          />
        )}
        <Button size="compact-sm" onClick={() => setSeed(seed + 1)}>
          Pipe another
        </Button>
      </div>
    </section>
  )
}
