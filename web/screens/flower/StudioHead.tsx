import { Button, Menu } from '@mantine/core'
import { type RefObject, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { nailGuidePages } from '#core/guides/nailGuide'
import { copyFlower, removeFlower } from '../../data/workshop.ts'
import { PageHead } from '../../parts/Card.tsx'
import { attempt, tell } from '../../parts/notify.tsx'
import { printPages, savePages } from '../../parts/printPages.ts'
import { removeWithUndo } from '../../parts/removeWithUndo.tsx'
import { UndoButtons } from '../../parts/UndoButtons.tsx'
import type { FlowerScene } from '../../solid/scene.ts'
import type { Picture } from '../../workers/planner.worker.ts'
import type { Solid } from '../../workers/solid.worker.ts'
import { PictureDialog } from './PictureDialog.tsx'
import { saveGltf } from './saveSolid.ts'
import type { FlowerDraft } from './useFlowerDraft.ts'

const levels = { first: 'for a first try', practised: 'wants some practice', skilled: 'for a skilled hand' }

/** A flower's name, how it is worked, and what is done with it as a whole: seen piped, printed, saved, copied, deleted. */
export function StudioHead(props: {
  draft: FlowerDraft
  layer: string | null
  picture: Picture | undefined
  solid: Solid | undefined
  /** Looked at when a picture is asked for: it comes and goes with the solid. */
  scene: RefObject<FlowerScene | null>
  colours: Readonly<Record<string, string>>
}) {
  const { draft, layer, picture, solid, colours } = props
  const { flower, editable } = draft
  const [picturing, setPicturing] = useState(false)
  const navigate = useNavigate()
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
        scene={props.scene.current}
        name={flower.name}
      />
    </>
  )
}
