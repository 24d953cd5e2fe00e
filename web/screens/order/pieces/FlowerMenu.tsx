import { ActionIcon, Menu } from '@mantine/core'
import { IconDots } from '@tabler/icons-react'
import { memo, useState } from 'react'
import type { Flower } from '#core/model/flower'
import type { PlacedFlower } from '#core/model/order'
import { AskedMenu } from '../../../parts/AskedMenu.tsx'
import type { Picture } from '../../../workers/flowers.worker.ts'
import type { ChangeFlower } from './changeFlower.ts'
import { OwnWay } from './OwnWay.tsx'
import { TipChoice } from './TipChoice.tsx'

/** What else is done to a flower of a piece: otherwise for this order, other tips, its own size, taken off. */
export const FlowerMenu = memo(function FlowerMenu(props: {
  pieceName: string
  placed: PlacedFlower
  recipe: Flower
  flower: Flower
  picture: Picture | undefined
  change: ChangeFlower
  remove: () => void
}) {
  const { pieceName, placed, recipe, flower, picture, change } = props
  const [tipsOpen, setTipsOpen] = useState(false)
  const [ownOpen, setOwnOpen] = useState(false)
  return (
    <>
      <AskedMenu
        position="bottom-end"
        button={
          <ActionIcon aria-label={`More for ${flower.name} on ${pieceName}`}>
            <IconDots size={20} stroke={1.6} />
          </ActionIcon>
        }
      >
        <Menu.Item onClick={() => setOwnOpen(true)}>Otherwise for this order…</Menu.Item>
        <Menu.Item onClick={() => setTipsOpen(true)}>Choose its tips…</Menu.Item>
        <Menu.Item disabled={placed.sizeMm === null} onClick={() => change('size', { sizeMm: null })}>
          Back to its own size
        </Menu.Item>
        <Menu.Item onClick={props.remove}>Remove</Menu.Item>
      </AskedMenu>
      <OwnWay
        opened={ownOpen}
        close={() => setOwnOpen(false)}
        recipe={recipe}
        placed={placed}
        onChange={(part) => change('otherwise', part)}
      />
      <TipChoice
        opened={tipsOpen}
        close={() => setTipsOpen(false)}
        flower={flower}
        placed={placed}
        fitted={picture?.layers.map((l) => l.tip.id) ?? []}
        onChange={(layerId, tipId) =>
          change('tips', (now) => {
            const { [layerId]: _, ...without } = now.tips
            return { tips: tipId ? { ...without, [layerId]: tipId } : without }
          })
        }
      />
    </>
  )
})
