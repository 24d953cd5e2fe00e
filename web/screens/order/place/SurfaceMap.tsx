import type Konva from 'konva'
import { type ReactNode, useMemo, useRef, useState } from 'react'
import { Layer, Line, Rect, Stage } from 'react-konva'
import type { Spot } from '#core/surfaces/chart'
import { DraggedStamp } from './DraggedStamp.tsx'
import type { DrawnLine } from './drawnLines.ts'
import type { Stamp } from './images.ts'
import { KeptFreeMarks } from './KeptFree.tsx'
import { StemMarks } from './Lines.tsx'
import type { LaidWords } from './lettered.ts'
import { INK, Marked, Marks, type Seen } from './Marks.tsx'
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

/** A picture of the surface in which flowers are taken hold of, moved, turned and chosen. */
export function SurfaceMap(props: Props) {
  const { placing, stamps, view, marked, putting, onPlaced } = props
  const { hand, layout } = placing
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
        {seen.map((one) => (
          <DraggedStamp key={one.site.id} {...{ placing, stamps, view, putting }} {...one} />
        ))}
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
