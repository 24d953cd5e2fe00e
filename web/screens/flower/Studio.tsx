import { ActionIcon, Button, Menu, Tooltip } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { IconArrowBackUp, IconArrowForwardUp } from '@tabler/icons-react'
import { useMemo, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import type { StoredWorkshop } from '#contract/workshop'
import { nameSchema } from '#core/common'
import { roleGrams } from '#core/flowers/measure'
import { nailGuidePages } from '#core/guides/nailGuide'
import type { Flower } from '#core/model/flower'
import type { Workshop } from '#core/model/workshop'
import { copyFlower, removeFlower } from '../../data/workshop.ts'
import { Card, PageHead } from '../../parts/Card.tsx'
import { attempt, tell } from '../../parts/notify.tsx'
import { printPages, savePages } from '../../parts/printPages.ts'
import { removeWithUndo } from '../../parts/removeWithUndo.tsx'
import { Failed } from '../../parts/states.tsx'
import { TextField } from '../../parts/TextField.tsx'
import type { FlowerScene } from '../../solid/scene.ts'
import { useDraftPicture } from '../../workers/planner.ts'
import type { Picture } from '../../workers/planner.worker.ts'
import { FlowerChecks } from './FlowerChecks.tsx'
import { FlowerFigures } from './FlowerFigures.tsx'
import { LayerList } from './LayerList.tsx'
import { LayerStrip } from './LayerStrip.tsx'
import { LayerTable } from './LayerTable.tsx'
import { RoleList } from './RoleList.tsx'
import { SolidStage } from './SolidStage.tsx'
import css from './Studio.module.css'
import { saveGltf, savePicture } from './saveSolid.ts'
import { useFlowerDraft } from './useFlowerDraft.ts'

const levels = { first: 'for a first try', practised: 'wants some practice', skilled: 'for a skilled hand' }

/** The studio: a flower as a solid that turns, and beside it the layers it is piped from. */
export function Studio(props: { shown: Flower; workshop: Workshop; stored: StoredWorkshop }) {
  const { shown, workshop, stored } = props
  const draft = useFlowerDraft(shown, stored)
  const { flower, editable } = draft
  const { picture, error } = useDraftPicture(flower, workshop)
  const [layerId, setLayerId] = useState<string | null>(null)
  const [alone, setAlone] = useState(false)
  const scene = useRef<FlowerScene>(null)
  const navigate = useNavigate()
  const colours = useMemo(() => Object.fromEntries(flower.roles.map((r) => [r.id, r.hex])), [flower.roles])
  const icing = workshop.icings[0]!
  const selected = flower.layers.some((l) => l.id === layerId) ? layerId : null
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
            {editable && (
              <>
                <Tooltip label={draft.undo ? 'Undo (Ctrl Z)' : 'Nothing to undo'}>
                  <ActionIcon aria-label="Undo" disabled={!draft.undo} onClick={() => draft.undo?.()}>
                    <IconArrowBackUp size={20} stroke={1.6} />
                  </ActionIcon>
                </Tooltip>
                <Tooltip label={draft.redo ? 'Redo (Ctrl Y)' : 'Nothing to redo'}>
                  <ActionIcon aria-label="Redo" disabled={!draft.redo} onClick={() => draft.redo?.()}>
                    <IconArrowForwardUp size={20} stroke={1.6} />
                  </ActionIcon>
                </Tooltip>
              </>
            )}
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
                <Menu.Item onClick={() => scene.current && savePicture(scene.current, flower.name)}>
                  Picture (PNG)
                </Menu.Item>
                <Menu.Item
                  onClick={() => scene.current && void attempt(() => saveGltf(scene.current!, flower))}
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
      {error && <Failed what="This flower" error={error} />}
      <div className={css.columns}>
        <div className={css.left}>
          <SolidStage
            flower={flower}
            picture={picture}
            colours={colours}
            layerId={selected}
            alone={alone}
            setAlone={setAlone}
            onScene={(next) => {
              scene.current = next
            }}
          />
          <Card
            title="Layer by layer"
            aside={selected ? 'press it again for the whole flower' : 'press one to see the flower up to it'}
          >
            {picture && (
              <LayerStrip
                flower={flower}
                shapes={picture.shapes}
                selected={selected}
                select={(id) => setLayerId(id === selected ? null : id)}
              />
            )}
          </Card>
        </div>
        <div className={css.right}>
          {picture && <FlowerFigures flower={flower} picture={picture} workshop={workshop} draft={draft} />}
          {picture && <FlowerChecks checks={picture.checks} draft={draft} select={setLayerId} />}
          <LayerList
            draft={draft}
            workshop={workshop}
            picture={picture}
            density={icing.density}
            selected={selected}
            select={(id) => setLayerId(id === selected ? null : id)}
          />
          {picture && <RoleList draft={draft} grams={roleGrams(flower, picture.measure, icing.density)} />}
          {editable && (
            <Card title="Name">
              <TextField
                hideLabel
                label="Name of the flower"
                value={flower.name}
                schema={nameSchema}
                onChange={(name) => draft.edit('name', (f) => ({ ...f, name }))}
              />
            </Card>
          )}
        </div>
      </div>
      <div className={css.below}>
        {picture && (
          <LayerTable flower={flower} picture={picture} workshop={workshop} density={icing.density} />
        )}
      </div>
    </>
  )
}
