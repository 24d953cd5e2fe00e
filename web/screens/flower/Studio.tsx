import { Button, Switch } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { dequal as equal } from 'dequal/lite'
import { useMemo, useRef, useState } from 'react'
import type { StoredWorkshop } from '#contract/workshop'
import { layerWith, lookedAtWithout } from '#core/flowers/edit'
import type { Flower } from '#core/model/flower'
import { stepKey } from '#core/model/toolStep'
import type { Workshop } from '#core/model/workshop'
import { counted } from '#core/units'
import { Card } from '../../parts/Card.tsx'
import { Failed } from '../../parts/states.tsx'
import type { FlowerScene } from '../../solid/scene.ts'
import { useDraftPicture } from '../../workers/flowers.ts'
import type { Solid } from '../../workers/solid.worker.ts'
import { FlowerChecks } from './FlowerChecks.tsx'
import { FlowerFigures } from './FlowerFigures.tsx'
import { LayerStrip } from './LayerStrip.tsx'
import { SolidStage } from './SolidStage.tsx'
import css from './Studio.module.css'
import { StudioHead } from './StudioHead.tsx'
import { StudioParts } from './StudioParts.tsx'
import { useFlowerDraft } from './useFlowerDraft.ts'
import { useKept } from './useKept.ts'

/** The studio: a flower as a solid that turns, and beside it the layers it is piped from. */
export function Studio(props: { shown: Flower; workshop: Workshop; stored: StoredWorkshop }) {
  const { shown, workshop, stored } = props
  const draft = useFlowerDraft(shown, stored)
  const { flower, editable } = draft
  const [muted, setMuted] = useState<ReadonlySet<string>>(new Set())
  const heard = useMemo(() => lookedAtWithout(flower, muted), [flower, muted])
  const { picture, error } = useDraftPicture(heard, workshop)
  const mutedCount = partsOf(flower) - partsOf(heard)
  const [kept, keep] = useKept(flower)
  const before = useDraftPicture(editable && !equal(kept, flower) ? kept : undefined, workshop).picture
  const differs = editable && !equal(kept, flower)
  const [showsKept, setShowsKept] = useState(false)
  const seesKept = showsKept && differs && before
  const [layerId, setLayerId] = useState<string | null>(null)
  const [alone, setAlone] = useState(false)
  const [solid, setSolid] = useState<Solid>()
  const scene = useRef<FlowerScene>(null)
  const colours = useMemo(() => Object.fromEntries(flower.roles.map((r) => [r.id, r.hex])), [flower.roles])
  const parts = [...flower.layers, ...flower.florets].map((l) => l.id)
  const steps = flower.layers.flatMap((l) => l.tools.map((step) => stepKey(l, step)))
  const selected = [...parts, ...steps].find((id) => id === layerId) ?? null
  const layer = layerWith(flower, selected)?.id ?? selected
  const select = (id: string) => setLayerId(id === selected ? null : id)
  const mute = (id: string) => setMuted((now) => (now.has(id) ? without(now, id) : new Set([...now, id])))
  useHotkeys([
    ['mod+Z', () => draft.undo?.()],
    ['mod+shift+Z', () => draft.redo?.()],
    ['mod+Y', () => draft.redo?.()],
  ])

  return (
    <>
      <StudioHead
        draft={draft}
        layer={layer}
        picture={picture}
        solid={solid}
        scene={scene}
        colours={colours}
      />
      {error && <Failed what="This flower" error={error} />}
      <div className={css.columns}>
        <div className={css.left}>
          <SolidStage
            flower={seesKept ? kept : heard}
            picture={seesKept || picture}
            colours={colours}
            layerId={layer}
            alone={alone}
            setAlone={setAlone}
            onSolid={setSolid}
            onScene={(next) => {
              scene.current = next
            }}
          />
          {heard !== flower && (
            <p className={css.mutedLine}>
              {counted(mutedCount, 'step')} left out of the picture and the figures; orders pipe{' '}
              {mutedCount === 1 ? 'it' : 'them'}.
              <Button size="compact-sm" onClick={() => setMuted(new Set())}>
                Show all
              </Button>
            </p>
          )}
          {picture && (
            <FlowerFigures
              flower={flower}
              picture={picture}
              before={differs ? before : undefined}
              workshop={workshop}
              compare={
                differs && (
                  <>
                    <Switch
                      size="xs"
                      label="as it was"
                      checked={showsKept}
                      onChange={(e) => setShowsKept(e.currentTarget.checked)}
                    />
                    <Button size="compact-sm" onClick={keep}>
                      Keep this
                    </Button>
                  </>
                )
              }
            />
          )}
          {picture && <FlowerChecks checks={picture.checks} draft={draft} select={setLayerId} />}
        </div>
        <StudioParts
          draft={draft}
          workshop={workshop}
          picture={picture}
          heard={heard}
          selected={selected}
          select={select}
          muted={muted}
          mute={mute}
        />
      </div>
      <div className={css.below}>
        <Card
          title="Layer by layer"
          aside={selected ? 'press it again for the whole flower' : 'press one to see the flower up to it'}
        >
          {picture && <LayerStrip flower={heard} shapes={picture.shapes} selected={layer} select={select} />}
        </Card>
      </div>
    </>
  )
}

/** Layers, and tool steps beside them. */
const partsOf = ({ layers }: Flower) => layers.reduce((sum, l) => sum + 1 + l.tools.length, 0)

const without = (ids: ReadonlySet<string>, id: string) => new Set([...ids].filter((other) => other !== id))
