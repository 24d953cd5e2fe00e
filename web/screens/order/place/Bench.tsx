import { useElementSize } from '@mantine/hooks'
import { lazy, Suspense, useMemo, useState } from 'react'
import type { Finding } from '#core/placing/findings/finding'
import { surfaceDefinition } from '#core/surfaces/index'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { useLength } from '../../../parts/length.tsx'
import { Loading } from '../../../parts/states.tsx'
import { boardOf, bodyOf, coatsOf } from '../../../solid/bodyOf.ts'
import { Arrangements } from './Arrangements.tsx'
import { useDrawnLines } from './drawnLines.ts'
import { Exports } from './Exports.tsx'
import { GroundAbove, GroundUnrolled, UnrolledWords } from './Grounds.tsx'
import { useStamps } from './images.ts'
import { Keyed } from './Keyed.tsx'
import { useLetteredOn } from './lettered.ts'
import { Numbers } from './Numbers.tsx'
import css from './Place.module.css'
import { type PanelPart, PlacePanel } from './PlacePanel.tsx'
import { PutOn } from './PutOn.tsx'
import { SitePanel } from './SitePanel.tsx'
import { SurfaceMap } from './SurfaceMap.tsx'
import { useBorderLines } from './useBorderLines.ts'
import type { Placing } from './usePlacing.ts'
import { usePutting } from './usePutting.ts'
import { viewFromAbove, viewUnrolled } from './views.ts'
import { WishedPicture } from './Wished.tsx'

const SolidPane = lazy(async () => ({ default: (await import('./SolidPane.tsx')).SolidPane }))

/** The three views of a piece side by side and in step, and what can be done in them. */
export function Bench({ placing }: { placing: Placing }) {
  const { piece, hand } = placing
  const { chart } = hand
  const { order, workshop } = useOrderEditor()
  const length = useLength()
  const [looking, setLooking] = useState(0)
  const [pointed, setPointed] = useState<Finding | null>(null)
  const [part, setPart] = useState<PanelPart>('flowers')
  const { putting, setPutting, onPlaced, measured, measure, setMeasured } = usePutting(placing, setPart)
  const stamps = useStamps(placing.kinds)
  const hasSide = chart.bands.some((b) => b.zone === 'side')

  const coats = useMemo(() => coatsOf(piece, order.colours), [piece, order.colours])
  const lettered = useLetteredOn(placing.layout, chart, order.colours, workshop)
  const drawn = useDrawnLines(placing.layout, chart, order.colours, workshop)
  const board = useMemo(
    () => boardOf(piece, chart, workshop.settings.boardMarginMm),
    [piece, chart, workshop.settings.boardMarginMm],
  )
  const body = useMemo(() => bodyOf(piece, chart, coats, board), [piece, chart, coats, board])
  const lines = useBorderLines(placing, drawn)

  const upper = useElementSize()
  const lower = useElementSize()
  const unrolled = useMemo(
    () => viewUnrolled(chart, Math.max(1, upper.width), Math.max(1, upper.height), looking),
    [chart, upper.width, upper.height, looking],
  )
  const [aboveW, aboveH] = hasSide ? [lower.width, lower.height] : [upper.width, upper.height]
  const above = useMemo(
    () => viewFromAbove(chart, Math.max(1, aboveW), Math.max(1, aboveH)),
    [chart, aboveW, aboveH],
  )
  const marked = pointed?.spot ?? null
  const aboveMap = (
    <SurfaceMap
      {...{ placing, stamps, marked, lettered, drawn }}
      view={above}
      label={`${piece.name} from above`}
      ground={
        <>
          <GroundAbove {...{ chart, coats, board }} view={above} borders={lines} />
          <WishedPicture placing={placing} view={above} held={part === 'guide' && !putting} />
        </>
      }
      putting={putting}
      onPlaced={onPlaced}
    />
  )
  return (
    <>
      <PutOn {...{ placing, putting }} onPut={setPutting} />
      <Keyed placing={placing} className={css.pane!} label={`${piece.name} as it will look`}>
        <div className={css.paneHead}>
          <h2>{piece.name}</h2>
          <div className={css.headEnd}>
            <Exports {...{ placing, coats, lettered, drawn, body }} borders={lines} />
          </div>
          <span className="quiet">{surfaceDefinition(piece.shape.kind).describe(piece.shape, length)}</span>
        </div>
        <Arrangements placing={placing} />
        <Suspense fallback={<Loading what="the solid" />}>
          <SolidPane {...{ placing, body, looking, lettered, drawn }} borders={lines} onLook={setLooking} />
        </Suspense>
        <p className={css.hint}>
          drag beside a flower to turn it; seen from {hourOfLooking(looking)} o’clock
        </p>
        <SitePanel placing={placing} />
      </Keyed>
      <div className={css.maps}>
        <Keyed
          placing={placing}
          ref={upper.ref}
          className={css.map!}
          style={{ height: hasSide ? SIDE_PX : TOP_PX }}
          label={hasSide ? 'The side laid flat' : 'From above'}
        >
          {upper.width > 0 &&
            (hasSide ? (
              <SurfaceMap
                {...{ placing, stamps, marked, lettered, drawn }}
                view={unrolled}
                label={`${piece.name}, its side laid flat`}
                ground={<GroundUnrolled {...{ chart, coats }} view={unrolled} borders={lines} />}
                over={<UnrolledWords {...{ chart, looking }} view={unrolled} />}
                putting={putting}
                onPlaced={onPlaced}
              />
            ) : (
              aboveMap
            ))}
        </Keyed>
        <div className={css.below} style={hasSide ? undefined : { gridTemplateColumns: 'minmax(0, 1fr)' }}>
          {hasSide && (
            <Keyed
              placing={placing}
              ref={lower.ref}
              className={css.map!}
              style={{ minHeight: ABOVE_PX }}
              label="From above"
            >
              {lower.width > 0 && aboveMap}
            </Keyed>
          )}
          <Numbers placing={placing} />
        </div>
      </div>
      <PlacePanel
        {...{ placing, lettered, drawn, part, measured }}
        onPart={setPart}
        onPoint={setPointed}
        onMeasure={measure}
        onMeasured={() => setMeasured([])}
      />
    </>
  )
}

/** Heights of the views, px. */
const SIDE_PX = 262
const TOP_PX = 314
const ABOVE_PX = 200

const hourOfLooking = (looking: number) => Math.round((6 - (looking * 6) / Math.PI + 12) % 12) || 12
