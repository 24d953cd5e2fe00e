import { Group, Image } from 'react-konva'
import { moveTo } from '#core/placing/byHand'
import type { Spot } from '#core/surfaces/chart'
import type { Stamp } from './images.ts'
import type { Seen } from './Marks.tsx'
import type { Putting } from './PutOn.tsx'
import type { Placing } from './usePlacing.ts'
import type { View } from './views.ts'

/** A thing that is pressed for less than this is chosen, not dragged, px. */
const DRAG_PX = 4

/** A flower in a view, chosen by a press and dragged with whatever else is chosen. */
export function DraggedStamp(
  props: Seen & { placing: Placing; stamps: ReadonlyMap<string, Stamp>; view: View; putting: Putting },
) {
  const { placing, stamps, view, putting, site, spot, at } = props
  const { hand, chosen } = placing
  const start = (id: string, more: boolean) => {
    if (!chosen.has(id)) placing.choose([id], more)
  }
  const dragTo = (id: string, spot: Spot) => {
    const ids = chosen.has(id) ? chosen : new Set([id])
    return moveTo(hand, ids, id, spot)
  }

  const stamp = stamps.get(site.placedId)
  if (!stamp) return null
  const { x, y } = view.toPx(spot, at)
  const { deg, squeeze } = view.pose(at)
  return (
    <Group
      x={x}
      y={y}
      rotation={-deg}
      scaleX={squeeze}
      draggable={!putting}
      listening={!putting}
      dragDistance={DRAG_PX}
      onMouseDown={(e) => start(site.id, e.evt.shiftKey)}
      onTouchStart={() => start(site.id, false)}
      onDragStart={() => start(site.id, false)}
      onDragMove={(e) => {
        const node = e.target
        const to = view.toSpot(node.x(), node.y(), spot)
        const next = dragTo(site.id, to)
        placing.drag(next)
        node.position(view.toPx(to))
      }}
      onDragEnd={(e) => {
        const to = view.toSpot(e.target.x(), e.target.y(), spot)
        placing.drag(null)
        placing.change('move', () => dragTo(site.id, to))
      }}
    >
      <Group rotation={-site.turnDeg}>
        <Image
          image={stamp.image}
          width={stamp.wideMm * view.pxPerMm}
          height={stamp.wideMm * view.pxPerMm}
          x={(stamp.offX - stamp.wideMm / 2) * view.pxPerMm}
          y={(-stamp.offY - stamp.wideMm / 2) * view.pxPerMm}
        />
      </Group>
    </Group>
  )
}
