import { Button, Menu, Switch } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { dequal as equal } from 'dequal/lite'
import { useMemo, useRef, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import type { StoredWorkshop } from '#contract/workshop'
import { layerWith, lookedAtWithout } from '#core/flowers/edit'
import { roleGrams } from '#core/flowers/measure'
import { nailGuidePages } from '#core/guides/nailGuide'
import type { Flower } from '#core/model/flower'
import { stepKey } from '#core/model/toolStep'
import type { Workshop } from '#core/model/workshop'
import { counted } from '#core/units'
import { copyFlower, removeFlower } from '../../data/workshop.ts'
import { Card, PageHead } from '../../parts/Card.tsx'
import { attempt, tell } from '../../parts/notify.tsx'
import { printPages, savePages } from '../../parts/printPages.ts'
import { removeWithUndo } from '../../parts/removeWithUndo.tsx'
import { Failed } from '../../parts/states.tsx'
import { UndoButtons } from '../../parts/UndoButtons.tsx'
import type { FlowerScene } from '../../solid/scene.ts'
import { useDraftPicture } from '../../workers/planner.ts'
import type { Picture } from '../../workers/planner.worker.ts'
import type { Solid } from '../../workers/solid.worker.ts'
import { AboutFlower } from './AboutFlower.tsx'
import { FlowerChecks } from './FlowerChecks.tsx'
import { FlowerFigures } from './FlowerFigures.tsx'
import { LayerList } from './LayerList.tsx'
import { LayerStrip } from './LayerStrip.tsx'
import { LayerTable } from './LayerTable.tsx'
import { PictureDialog } from './PictureDialog.tsx'
import { RoleList } from './RoleList.tsx'
import { SolidStage } from './SolidStage.tsx'
import css from './Studio.module.css'
import { saveGltf } from './saveSolid.ts'
import { useFlowerDraft } from './useFlowerDraft.ts'
import { useKept } from './useKept.ts'

const levels = { first: 'for a first try', practised: 'wants some practice', skilled: 'for a skilled hand' }

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
  const [picturing, setPicturing] = useState(false)
  const [solid, setSolid] = useState<Solid>()
  const scene = useRef<FlowerScene>(null)
  const navigate = useNavigate()
  const colours = useMemo(() => Object.fromEntries(flower.roles.map((r) => [r.id, r.hex])), [flower.roles])
  const icing = workshop.icings[0]!
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

  const guides = (of: Picture) => nailGuidePages(flower, of.layers, of.measure.diameterMm)

  async function copy() {
    const made = await attempt(() => copyFlower(flower.id))
    if (!made) return
    navigate(`/flowers/${made.id}`)
    tell(`“${made.name}” is yours to change.`)
  }
  async function remove() {
    const gone = await removeWithUndo('flowers', flower.id, flower.name, () => removeFlower(flower.id))
    if (gone) navigate('/flowers')
  }

  return (
    <>
      <PageHead
        title={flower.name}
        line={`${flower.setting === 'nail' ? `on a ${flower.nailMm} mm nail, then lifted` : 'piped in place'} · ${levels[flower.level]} · ${flower.layers.length} layers · ${editable ? 'our own' : 'from the catalogue'}`}
        actions={
          <>
            {editable && <UndoButtons undo={draft.undo} redo={draft.redo} />}
            <Button component={Link} to={`/flowers/${flower.id}/piped${layer ? `/${layer}` : ''}`}>
              See it piped
            </Button>
            <Menu position="bottom-end">
              <Menu.Target>
                <Button>Nail guide</Button>
              </Menu.Target>
              <Menu.Dropdown>
                <Menu.Item onClick={() => picture && printPages(guides(picture), 'Nail guides')}>
                  Print a page of them
                </Menu.Item>
                <Menu.Item onClick={() => picture && savePages(guides(picture), `guides-${flower.id}`)}>
                  Save as SVG
                </Menu.Item>
              </Menu.Dropdown>
            </Menu>
            <Menu position="bottom-end">
              <Menu.Target>
                <Button>Save as…</Button>
              </Menu.Target>
              <Menu.Dropdown>
                <Menu.Item onClick={() => setPicturing(true)}>Picture (PNG)…</Menu.Item>
                <Menu.Item
                  disabled={!solid}
                  onClick={() =>
                    solid &&
                    picture &&
                    void attempt(() =>
                      saveGltf(
                        solid.mesh,
                        flower,
                        picture.layers.map((l) => l.layer),
                        colours,
                      ),
                    )
                  }
                >
                  Solid (glTF)
                </Menu.Item>
                <Menu.Item component="a" href={`/api/flowers/${flower.id}/file`}>
                  Recipe (JSON)
                </Menu.Item>
                {editable && <Menu.Divider />}
                {editable && <Menu.Item onClick={remove}>Delete {flower.name}</Menu.Item>}
              </Menu.Dropdown>
            </Menu>
            <Button variant={editable ? 'outline' : 'filled'} onClick={copy}>
              {editable ? 'Copy' : 'Copy to change it'}
            </Button>
          </>
        }
      />
      <PictureDialog
        opened={picturing}
        close={() => setPicturing(false)}
        scene={scene.current}
        name={flower.name}
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
        <div className={css.right}>
          <LayerList
            draft={draft}
            workshop={workshop}
            picture={picture}
            density={icing.density}
            selected={selected}
            select={select}
            muted={muted}
            mute={mute}
          />
          {picture && <RoleList draft={draft} grams={roleGrams(heard, picture.measure, icing.density)} />}
          {editable && <AboutFlower draft={draft} />}
        </div>
      </div>
      <div className={css.below}>
        <Card
          title="Layer by layer"
          aside={selected ? 'press it again for the whole flower' : 'press one to see the flower up to it'}
        >
          {picture && <LayerStrip flower={heard} shapes={picture.shapes} selected={layer} select={select} />}
        </Card>
        {picture && (
          <LayerTable flower={heard} picture={picture} workshop={workshop} density={icing.density} />
        )}
      </div>
    </>
  )
}

/** Layers, and tool steps beside them. */
const partsOf = ({ layers }: Flower) => layers.reduce((sum, l) => sum + 1 + l.tools.length, 0)

const without = (ids: ReadonlySet<string>, id: string) => new Set([...ids].filter((other) => other !== id))
