import { useElementSize } from '@mantine/hooks'
import { lazy, Suspense, useMemo, useState } from 'react'
import { hexToLab } from '#core/colour/lab'
import { wordsSchema } from '#core/model/layout'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { borderAlong, growSpray } from '#core/orders/lines'
import { putOn } from '#core/placing/byHand'
import type { Finding } from '#core/placing/findings/finding'
import type { Spot } from '#core/surfaces/chart'
import { surfaceDefinition } from '#core/surfaces/index'
import { isRound, openingSize } from '#core/tips/index'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { useLength } from '../../../parts/length.tsx'
import { newId } from '../../../parts/newId.ts'
import { tell } from '../../../parts/notify.tsx'
import { Loading } from '../../../parts/states.tsx'
import { boardOf, bodyOf, coatsOf } from '../../../solid/bodyOf.ts'
import { Arrangements } from './Arrangements.tsx'
import { useDrawnLines } from './drawnLines.ts'
import { Exports } from './Exports.tsx'
import { type BorderLine, GroundAbove, GroundUnrolled, UnrolledWords } from './Grounds.tsx'
import { useStamps } from './images.ts'
import { Keyed } from './Keyed.tsx'
import { isLeafy } from './Lines.tsx'
import { useLetteredOn } from './lettered.ts'
import { Numbers } from './Numbers.tsx'
import css from './Place.module.css'
import { type PanelPart, PlacePanel } from './PlacePanel.tsx'
import { PutOn, type Putting } from './PutOn.tsx'
import { SitePanel } from './SitePanel.tsx'
import { SurfaceMap } from './SurfaceMap.tsx'
import type { Placing } from './usePlacing.ts'
import { viewFromAbove, viewUnrolled } from './views.ts'
import { type Measured, WishedPicture } from './Wished.tsx'

const SolidPane = lazy(async () => ({ default: (await import('./SolidPane.tsx')).SolidPane }))

/** The three views of a piece side by side and in step, and what can be done in them. */
export function Bench({ placing }: { placing: Placing }) {
  const { piece, hand, borders } = placing
  const { chart } = hand
  const { order, workshop, edit } = useOrderEditor()
  const length = useLength()
  const [looking, setLooking] = useState(0)
  const [pointed, setPointed] = useState<Finding | null>(null)
  const [putting, setPutting] = useState<Putting>(null)
  const [part, setPart] = useState<PanelPart>('flowers')
  const [measured, setMeasured] = useState<Measured>([])
  const onPlaced = (spots: Spot[], plane?: { x: number; y: number }) => {
    if (putting?.kind === 'measure') {
      // a point that is no point of the plane says nothing
      if (!plane) return
      setMeasured([...measured, plane])
      if (measured.length === 1) setPutting(null)
      return
    }
    setPutting(null)
    const [first] = spots
    if (!putting || !first) return
    setPart(['flower', 'line'].includes(putting.kind) ? 'flowers' : 'words')
    if (putting.kind === 'spray') {
      const leaf = placing.kinds.find(isLeafy)
      const buds = placing.kinds.filter((k) => !isLeafy(k))
      const [bud] = [...buds].sort((a, b) => a.kind.r - b.kind.r)
      const stem = stemOf(order, workshop)
      if (!stem) {
        tell('A spray needs a round tip in the drawer and a colour in the order for its stem.')
        return
      }
      edit(
        'a spray',
        (o) =>
          growSpray(
            o,
            piece.id,
            placing.layout.id,
            {
              ...{ id: newId(), kind: 'spray', path: spots.map((s) => chart.store(s)), ...stem },
              ...{ stiffness: 'soft', leafId: leaf?.placedId ?? null, budId: bud?.placedId ?? null },
            },
            hand.kinds,
            newId,
          ),
        `spray ${newId()}`,
      )
    } else if (putting.kind === 'border') {
      const { placedId } = putting
      const path = spots.map((s) => chart.store(s))
      edit(
        'a border along a line',
        (o) => borderAlong(o, piece.id, placing.layout.id, placedId, path, newId),
        `border ${newId()}`,
      )
    } else if (putting.kind === 'line')
      placing.lay('follow a line', { schoolId: 'path', path: spots.map((s) => chart.store(s)) })
    else if (putting.kind === 'flower') {
      const made = putOn(hand, putting.placedId, first, newId)
      placing.change('put a flower on', () => made.layout)
      placing.choose([made.id])
    } else if (putting.kind === 'words') {
      const tip = writingTip(workshop)
      const [colour] = [...order.colours].sort((a, b) => darkness(a.hex) - darkness(b.hex))
      if (!tip || !colour) {
        tell(
          tip ? 'The order needs a colour to write in first.' : 'The drawer has no round tip to write with.',
        )
        return
      }
      placing.change('words', (now) => ({
        ...now.layout,
        words: [
          ...now.layout.words,
          wordsSchema.parse({
            ...WORDS,
            id: newId(),
            tipId: tip,
            colourId: colour.id,
            place: chart.store(first),
          }),
        ],
      }))
    } else if (putting.kind === 'seam' || putting.kind === 'stop') {
      const { kind } = putting
      placing.change('something to hide', (now) => ({
        ...now.layout,
        toHide: [...now.layout.toHide, { id: newId(), kind, place: chart.store(first) }],
      }))
    } else {
      const part = putting.kind === 'photo' ? PHOTO : FREE
      placing.change('keep free', (now) => ({
        ...now.layout,
        keepOuts: [...now.layout.keepOuts, { ...part, id: newId(), place: chart.store(first) }],
      }))
    }
  }
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
  const lines = useMemo(
    () =>
      borders.flatMap((kind): BorderLine[] => {
        const placement = piece.flowers.find((f) => f.id === kind.placedId)?.placement
        const pitchMm = kind.run?.pitchMm ?? kind.kind.longMm
        if (placement?.kind === 'border')
          return [{ kind, pitchMm, on: { edge: placement.edge, tier: placement.tier } }]
        return drawn
          .filter(({ line }) => line.kind === 'border' && line.placedId === kind.placedId)
          .map(({ points }) => ({ kind, pitchMm, on: { line: points } }))
      }),
    [borders, piece.flowers, drawn],
  )

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
        onMeasure={() => {
          setMeasured([])
          setPutting({ kind: 'measure' })
        }}
        onMeasured={() => setMeasured([])}
      />
    </>
  )
}

/** A part that is kept free, to begin with: room for a line of words. */
const FREE = { kind: 'free', widthMm: 60, heightMm: 22, turnDeg: 0, label: '' } as const

/** A photograph printed on sugar or wafer, to begin with. */
const PHOTO = { kind: 'photo', widthMm: 80, heightMm: 60, turnDeg: 0, label: 'photograph' } as const

/** Words to begin with: something to be written over. */
const WORDS = { text: 'Happy Birthday', capitalMm: 12 }

/** Icing for words is about so wide, mm. */
const WRITES_MM = 2

/** The owned round tip that is nearest to what words are usually written with; any other round one where none is owned. */
function writingTip({ tips }: Workshop): string | undefined {
  const rounds = tips.filter((t) => isRound(t.opening))
  const owned = rounds.filter((t) => t.owned > 0)
  const off = (t: (typeof rounds)[number]) => Math.abs(openingSize(t.opening) - WRITES_MM)
  return [...(owned.length > 0 ? owned : rounds)].sort((a, b) => off(a) - off(b))[0]?.id
}

/** What a stem is piped with to begin with: about as thick as a vine, in the greenest colour. */
function stemOf(order: Order, { tips }: Workshop): { tipId: string; colourId: string } | null {
  const rounds = tips.filter((t) => isRound(t.opening) && t.owned > 0)
  const off = (t: (typeof rounds)[number]) => Math.abs(openingSize(t.opening) - STEM_MM)
  const [tip] = [...rounds].sort((a, b) => off(a) - off(b))
  const [colour] = [...order.colours].sort((a, b) => hexToLab(a.hex)[1] - hexToLab(b.hex)[1])
  return tip && colour ? { tipId: tip.id, colourId: colour.id } : null
}

const STEM_MM = 2

const darkness = (hex: string) => hexToLab(hex)[0]

/** Heights of the views, px. */
const SIDE_PX = 262
const TOP_PX = 314
const ABOVE_PX = 200

const hourOfLooking = (looking: number) => Math.round((6 - (looking * 6) / Math.PI + 12) % 12) || 12
