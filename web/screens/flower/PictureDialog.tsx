import { Button, Group, Modal, Switch } from '@mantine/core'
import { useState } from 'react'
import { z } from 'zod'
import { NumberField } from '../../parts/NumberField.tsx'
import { attempt } from '../../parts/notify.tsx'
import type { FlowerScene } from '../../solid/scene.ts'
import css from './Studio.module.css'
import { savePicture } from './saveSolid.ts'

/** What drawing cards everywhere can do, px. */
const wideSchema = z
  .number()
  .int('Whole pixels only.')
  .min(64, 'At least 64 pixels.')
  .max(4096, 'At most 4096 pixels.')

/** Saves the flower as it is seen now: how large, square or as seen, on its table or on nothing. */
export function PictureDialog(props: {
  opened: boolean
  close: () => void
  scene: FlowerScene | null
  name: string
}) {
  const { opened, close, scene, name } = props
  const [wish, setWish] = useState({ widePx: 1600, square: false, ground: true })
  return (
    <Modal opened={opened} onClose={close} title="Picture (PNG)">
      <div className={css.about}>
        <p className="quiet">From where you see it now. Close this and turn the flower for another side.</p>
        <NumberField
          label="Width in pixels"
          value={wish.widePx}
          schema={wideSchema}
          onChange={(widePx) => setWish({ ...wish, widePx })}
        />
        <Switch
          label="Square"
          checked={wish.square}
          onChange={(e) => setWish({ ...wish, square: e.currentTarget.checked })}
        />
        <Switch
          label="With its ground: shadow, rings and cupcake as they show"
          checked={wish.ground}
          onChange={(e) => setWish({ ...wish, ground: e.currentTarget.checked })}
        />
        <Group justify="flex-end">
          <Button
            variant="filled"
            disabled={!scene}
            onClick={async () => {
              if (scene) await attempt(() => savePicture(scene, name, wish))
              close()
            }}
          >
            Save the picture
          </Button>
        </Group>
      </div>
    </Modal>
  )
}
