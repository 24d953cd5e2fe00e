import { Button, Group, Modal, Slider } from '@mantine/core'
import { useState } from 'react'
import { CARD_MM, CSS_PX_PER_MM, useScreenScale } from '../../parts/screenScale.ts'
import css from './Drawer.module.css'

/** Once for each screen: a bank card is held to it and the rectangle drawn out until the two agree. */
export function ScreenScale(props: { opened: boolean; close: () => void; done: () => void }) {
  const { pxPerMm, setPxPerMm } = useScreenScale()
  const [px, setPx] = useState(pxPerMm ?? CSS_PX_PER_MM)
  return (
    <Modal
      opened={props.opened}
      onClose={props.close}
      title="How large is a millimetre on this screen?"
      size="xl"
    >
      <p>
        Hold a bank card, or any card of that size, against the screen and move the slider until the rectangle
        is as large as the card. The openings are then drawn at true size, and you can lay a tip on them.
      </p>
      <div className={css.cardRoom}>
        <div
          className={css.bankCard}
          style={{ width: CARD_MM.width * px, height: CARD_MM.height * px }}
          role="img"
          aria-label="Rectangle the size of a bank card"
        >
          85.6 mm
        </div>
      </div>
      <Slider
        color="ink"
        thumbLabel="Size of the rectangle"
        label={null}
        min={2}
        max={9}
        step={0.01}
        value={px}
        onChange={setPx}
      />
      <Group justify="flex-end" mt="md">
        <Button onClick={props.close}>Cancel</Button>
        <Button
          variant="filled"
          onClick={() => {
            setPxPerMm(px)
            props.done()
          }}
        >
          It is as large as my card
        </Button>
      </Group>
    </Modal>
  )
}
