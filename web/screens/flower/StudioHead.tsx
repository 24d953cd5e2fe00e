import { Button } from '@mantine/core'
import { lazy, type RefObject, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { copyFlower, removeFlower } from '../../data/workshop.ts'
import { PageHead } from '../../parts/Card.tsx'
import { LaterMenu } from '../../parts/LaterMenu.tsx'
import { later } from '../../parts/later.tsx'
import { attempt, tell } from '../../parts/notify.tsx'
import { removeWithUndo } from '../../parts/removeWithUndo.tsx'
import { UndoButtons } from '../../parts/UndoButtons.tsx'
import type { FlowerScene } from '../../solid/scene.ts'
import type { Picture } from '../../workers/flowers.worker.ts'
import type { Solid } from '../../workers/solid.worker.ts'
import type { FlowerDraft } from './useFlowerDraft.ts'

const NailGuideMenu = lazy(async () => ({ default: (await import('./StudioMenus.tsx')).NailGuideMenu }))
const SaveMenu = lazy(async () => ({ default: (await import('./StudioMenus.tsx')).SaveMenu }))
const PictureDialog = later(
  async () => (await import('./PictureDialog.tsx')).PictureDialog,
  ({ opened }) => opened,
)

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
            <LaterMenu button={<Button>Nail guide</Button>}>
              <NailGuideMenu button={<Button>Nail guide</Button>} flower={flower} picture={picture} />
            </LaterMenu>
            <LaterMenu button={<Button>Save as…</Button>}>
              <SaveMenu
                button={<Button>Save as…</Button>}
                {...{ flower, picture, solid, colours }}
                takePicture={() => setPicturing(true)}
                remove={editable ? remove : null}
              />
            </LaterMenu>
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
