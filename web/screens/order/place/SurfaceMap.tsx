import type Konva from 'konva'
import { type ReactNode, useMemo, useRef, useState } from 'react'
import { Circle, Group, Image, Layer, Line, Rect, Stage } from 'react-konva'
import { moveTo, turnBy } from '#core/placing/byHand'
import type { Chart, Point, Spot } from '#core/surfaces/chart'
import type { DrawnLine } from './drawnLines.ts'
import type { Stamp } from './images.ts'
import { KeptFreeMarks } from './KeptFree.tsx'
import { StemMarks } from './Lines.tsx'
import type { LaidWords } from './lettered.ts'
import { isDrawn, type Putting } from './PutOn.tsx'
import { ToHideMarks } from './ToHide.tsx'
import type { Placing } from './usePlacing.ts'
import type { View } from './views.ts'
import { WordsMarks } from './WordsMarks.tsx'

interface Props {
  placing: Placing
  stamps: ReadonlyMap<string, Stamp>
  view: View
  label: string
  /** What lies under the flowers: outlines, bands, hours. */
  ground: ReactNode
  /** What is read over them. */
  over?: ReactNode
  /** A spot that somebody is being told about. */
  marked: { spot: Spot; diameterMm: number } | null
  lettered: readonly LaidWords[]
  drawn: readonly DrawnLine[]
  putting: Putting
  /** Where something was put, or along which line. */
  onPlaced: (spots: Spot[], plane?: { x: number; y: number }) => void
}

/** A thing that is pressed for less than this is chosen, not dragged, px. */
const DRAG_PX = 4
const INK = '#191919'
const FLAG = '#a8510f'
const HANDLE_PX = 9

/** A picture of the surface in which flowers are taken hold of, moved, turned and chosen. */
export function SurfaceMap(props: Props) {
  const { placing, stamps, view, marked, putting, onPlaced } = props
  const { hand, layout, chosen } = placing
  const { chart } = hand
  const stage = useRef<Konva.Stage>(null)
  const [drawn, setDrawn] = useState<{ x: number; y: number }[]>([])
  const [box, setBox] = useState<{ x: number; y: number; w: number; h: number } | null>(null)
  const seen = useMemo(
    () =>
      layout.sites
        .map((site) => {
          const spot = chart.read(site.place)
          return { site, spot, at: chart.point(spot) }
        })
        .filter(({ spot }) => view.shows(spot))
        // leaves lie lowest; of two flowers the higher place is nearer to the eye
        .sort((p, q) => Number(q.site.role === 'leaf') - Number(p.site.role === 'leaf') || p.at.z - q.at.z),
    [layout.sites, chart, view],
  )

  const spotAt = ({ x, y }: { x: number; y: number }) => view.toSpot(x, y, chart.under(0, 0))
  const pointer = () => stage.current?.getPointerPosition() ?? { x: 0, y: 0 }
  const start = (id: string, more: boolean) => {
    if (!chosen.has(id)) placing.choose([id], more)
  }
  const dragTo = (id: string, spot: Spot) => {
    const ids = chosen.has(id) ? chosen : new Set([id])
    return moveTo(hand, ids, id, spot)
  }

  return (
    <Stage
      ref={stage}
      width={view.widthPx}
      height={view.heightPx}
      aria-label={props.label}
      onPointerDown={(e) => {
        if (!putting && e.target !== e.target.getStage() && e.target.name() !== 'ground') return
        const at = pointer()
        if (putting && isDrawn(putting)) setDrawn([at])
        else if (putting) onPlaced([spotAt(at)], view.toPlane?.(at.x, at.y))
        else if (e.evt.pointerType === 'touch') placing.choose([])
        else setBox({ ...at, w: 0, h: 0 })
      }}
      onPointerMove={() => {
        const { x, y } = pointer()
        if (drawn.length > 0) setDrawn((points) => further(points, { x, y }))
        if (box) setBox({ ...box, w: x - box.x, h: y - box.y })
      }}
      onPointerUp={(e) => {
        if (drawn.length > 1) onPlaced(drawn.map(spotAt))
        setDrawn([])
        if (!box) return
        setBox(null)
        placing.choose(inBox(box, seen, view), e.evt.shiftKey)
      }}
    >
      <Layer listening>
        {props.ground}
        <ToHideMarks {...{ placing, view }} />
        <StemMarks drawn={props.drawn} view={view} />
        {seen.map(({ site, spot, at }) => {
          const stamp = stamps.get(site.placedId)
          if (!stamp) return null
          const { x, y } = view.toPx(spot, at)
          const { deg, squeeze } = view.pose(at)
          return (
            <Group
              key={site.id}
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
        })}
        <KeptFreeMarks {...{ placing, view }} />
        <WordsMarks {...{ placing, view }} lettered={props.lettered} />
        {props.over}
        {drawn.length > 1 && (
          <Line
            points={drawn.flatMap(({ x, y }) => [x, y])}
            stroke={INK}
            strokeWidth={2}
            dash={[6, 4]}
            listening={false}
          />
        )}
        <Marks {...{ placing, view, chart, seen }} />
        {marked && <Marked {...{ marked, view, chart }} />}
        {box && (
          <Rect
            x={box.x}
            y={box.y}
            width={box.w}
            height={box.h}
            stroke={INK}
            strokeWidth={1}
            dash={[4, 3]}
            listening={false}
          />
        )}
      </Layer>
    </Stage>
  )
}

/** A line gets a point for every few px of way. */
const LINE_PX = 6
const MOST_POINTS = 200

function further(points: { x: number; y: number }[], to: { x: number; y: number }) {
  const last = points.at(-1)!
  const far = Math.hypot(to.x - last.x, to.y - last.y) >= LINE_PX
  return far && points.length < MOST_POINTS ? [...points, to] : points
}

interface Seen {
  site: Placing['layout']['sites'][number]
  spot: Spot
  at: Point
}

function inBox(
  box: { x: number; y: number; w: number; h: number },
  seen: readonly Seen[],
  view: View,
): string[] {
  const [left, right] = [Math.min(box.x, box.x + box.w), Math.max(box.x, box.x + box.w)]
  const [low, high] = [Math.min(box.y, box.y + box.h), Math.max(box.y, box.y + box.h)]
  return seen
    .filter(({ at, spot }) => {
      const { x, y } = view.toPx(spot, at)
      return x >= left && x <= right && y >= low && y <= high
    })
    .map(({ site }) => site.id)
}

/** Rings around what is chosen, pins, and a handle to turn one thing by. */
function Marks(props: { placing: Placing; view: View; chart: Chart; seen: readonly Seen[] }) {
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
function Marked(props: { marked: { spot: Spot; diameterMm: number }; view: View; chart: Chart }) {
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
