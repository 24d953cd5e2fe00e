import type Konva from 'konva'
import { Circle, Group, Line } from 'react-konva'
import { turnBy } from '#core/placing/byHand'
import type { Chart, Point, Spot } from '#core/surfaces/chart'
import type { Placing } from './usePlacing.ts'
import type { View } from './views.ts'

export const INK = '#191919'
const FLAG = '#a8510f'
const HANDLE_PX = 9

/** A flower that a view shows, and where. */
export interface Seen {
  site: Placing['layout']['sites'][number]
  spot: Spot
  at: Point
}

/** Rings around what is chosen, pins, and a handle to turn one thing by. */
export function Marks(props: { placing: Placing; view: View; chart: Chart; seen: readonly Seen[] }) {
  const { placing, view, seen } = props
  const { chosen } = placing
  const radius = (placedId: string) => (placing.kindOf(placedId)?.kind.r ?? 5) * view.pxPerMm
  const one = chosen.size === 1 ? seen.find(({ site }) => chosen.has(site.id)) : undefined
  return (
    <>
      {seen.map(({ site, spot, at }) => {
        if (!chosen.has(site.id) && !site.pinned) return null
        const { x, y } = view.toPx(spot, at)
        return (
          <Group key={site.id} x={x} y={y} listening={false}>
            {chosen.has(site.id) && (
              <>
                <Circle radius={radius(site.placedId) + 2} stroke="#fff" strokeWidth={4} />
                <Circle radius={radius(site.placedId) + 2} stroke={INK} strokeWidth={2} />
              </>
            )}
            {site.pinned && <Circle radius={3.5} fill={INK} stroke="#fff" strokeWidth={1.5} />}
          </Group>
        )
      })}
      {one && <TurnHandle {...{ placing, view, one }} reach={radius(one.site.placedId) + 2} />}
    </>
  )
}

function TurnHandle(props: { placing: Placing; view: View; one: Seen; reach: number }) {
  const { placing, view, one, reach } = props
  const { site, spot, at } = one
  const middle = view.toPx(spot, at)
  const { deg } = view.pose(at)
  // the handle stands where the thing points
  const angle = ((deg + site.turnDeg) * Math.PI) / 180
  const out = reach + HANDLE_PX + 5
  const before = placing.hand.layout.sites.find((s) => s.id === site.id)?.turnDeg ?? 0
  const turned = (node: Konva.Node) =>
    (Math.atan2(middle.y - node.y(), node.x() - middle.x) * 180) / Math.PI - deg - before
  const ids = new Set([site.id])
  return (
    <>
      <Line
        points={[
          middle.x + reach * Math.cos(angle),
          middle.y - reach * Math.sin(angle),
          middle.x + out * Math.cos(angle),
          middle.y - out * Math.sin(angle),
        ]}
        stroke={INK}
        strokeWidth={2}
        listening={false}
      />
      <Circle
        x={middle.x + out * Math.cos(angle)}
        y={middle.y - out * Math.sin(angle)}
        radius={HANDLE_PX}
        hitStrokeWidth={14}
        fill="#fff"
        stroke={INK}
        strokeWidth={2}
        draggable
        onDragMove={(e) => placing.drag(turnBy(placing.hand.layout, ids, turned(e.target)))}
        onDragEnd={(e) => {
          const by = turned(e.target)
          placing.drag(null)
          placing.change('turn', (now) => turnBy(now.layout, ids, by))
        }}
      />
    </>
  )
}

/** A ring around a place that is being told about. */
export function Marked(props: { marked: { spot: Spot; diameterMm: number }; view: View; chart: Chart }) {
  const { marked, view, chart } = props
  const at = chart.point(marked.spot)
  const { x, y } = view.toPx(marked.spot, at)
  return (
    <Circle
      x={x}
      y={y}
      radius={Math.max(6, (marked.diameterMm / 2) * view.pxPerMm)}
      stroke={FLAG}
      strokeWidth={2}
      dash={[4, 3]}
      listening={false}
    />
  )
}
