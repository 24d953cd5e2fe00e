import { Menu } from '@mantine/core'
import type { ReactElement } from 'react'
import { nailGuidePages } from '#core/guides/nailGuide'
import type { Flower } from '#core/model/flower'
import { AskedMenu } from '../../parts/AskedMenu.tsx'
import { attempt } from '../../parts/notify.tsx'
import { printPages, savePages } from '../../parts/printPages.ts'
import type { Picture } from '../../workers/flowers.worker.ts'
import type { Solid } from '../../workers/solid.worker.ts'
import { saveGltf } from './saveSolid.ts'

interface MenuOfFlower {
  button: ReactElement<object>
  flower: Flower
  picture: Picture | undefined
}

/** Rings to lay under the paper on a nail. Opens at once: its button has been pressed already. */
export function NailGuideMenu({ button, flower, picture }: MenuOfFlower) {
  const pages = (of: Picture) => nailGuidePages(flower, of.layers, of.measure.diameterMm)
  return (
    <AskedMenu pressed position="bottom-end" button={button}>
      <Menu.Item onClick={() => picture && printPages(pages(picture), 'Nail guides')}>
        Print a page of them
      </Menu.Item>
      <Menu.Item onClick={() => picture && savePages(pages(picture), `guides-${flower.id}`)}>
        Save as SVG
      </Menu.Item>
    </AskedMenu>
  )
}

/** A flower as a file of each kind, and where it can be deleted. Opens at once: its button has been pressed already. */
export function SaveMenu(
  props: MenuOfFlower & {
    solid: Solid | undefined
    colours: Readonly<Record<string, string>>
    takePicture: () => void
    /** Null for a flower that stays. */
    remove: (() => void) | null
  },
) {
  const { button, flower, picture, solid, colours, takePicture, remove } = props
  return (
    <AskedMenu pressed position="bottom-end" button={button}>
      <Menu.Item onClick={takePicture}>Picture (PNG)…</Menu.Item>
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
      {remove && <Menu.Divider />}
      {remove && <Menu.Item onClick={remove}>Delete {flower.name}</Menu.Item>}
    </AskedMenu>
  )
}
