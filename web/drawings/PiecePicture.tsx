import { useMemo } from 'react'
import type { Flower } from '#core/model/flower'
import type { Piece } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { arrange, type Guest } from '#core/surfaces/arrange'
import { usePicture } from '../workers/planner.ts'
import { FlowerShapes, type RoleColours } from './FlowerPicture.tsx'
import { shade } from './shade.ts'

/** A placed flower with what is needed to draw it. */
export interface DrawnFlower {
  placedId: string
  flower: Flower
  sizeMm: number | null
  tips: Record<string, string>
  diameterMm: number
  perPiece: number
  border: boolean
  colours: RoleColours
}

/** More than this on one piece is drawn as this many: the picture is for recognising, not for counting. */
const MOST_DRAWN = 40

/** A piece from above, to scale within itself, one way its flowers could stand. */
export function PiecePicture(props: {
  piece: Piece
  flowers: DrawnFlower[]
  coatHex: string | null
  workshop: Workshop
  size: number
}) {
  const { piece, flowers, coatHex, workshop, size } = props
  const frame = frameOf(piece)
  const spots = useMemo(() => {
    const guests: Guest[] = flowers
      .filter((f) => !f.border)
      .flatMap((f) =>
        Array.from({ length: Math.min(f.perPiece, MOST_DRAWN) }, (_, i) => ({
          key: `${f.placedId} ${i}`,
          diameterMm: f.diameterMm,
          tucked: f.flower.form === 'leaf' || f.flower.form === 'vine',
        })),
      )
    return arrange(guests, frame.outer * 0.96, frame.inner)
  }, [flowers, frame.outer, frame.inner])
  const reach = frame.outer * 1.08
  const coat = coatHex ?? '#d9c7a3'
  return (
    <svg
      viewBox={`${-reach} ${-reach} ${2 * reach} ${2 * reach}`}
      width={size}
      height={size}
      role="img"
      aria-label={`${piece.name} from above`}
      style={{ display: 'block' }}
    >
      {frame.square ? (
        <rect
          x={-frame.outer}
          y={-frame.outer * frame.square}
          width={2 * frame.outer}
          height={2 * frame.outer * frame.square}
          fill={coat}
          stroke={shade(coat, -0.3)}
          strokeWidth={frame.outer / 60}
        />
      ) : (
        <circle r={frame.outer} fill={coat} stroke={shade(coat, -0.3)} strokeWidth={frame.outer / 60} />
      )}
      {frame.inner > 0 && (
        <circle
          r={frame.inner}
          fill="var(--well)"
          stroke="var(--line-strong)"
          strokeDasharray="4 3"
          strokeWidth={1}
        />
      )}
      {flowers
        .filter((f) => f.border)
        .map((f) => (
          <Border key={f.placedId} drawn={f} radius={frame.outer} square={frame.square} />
        ))}
      {[...flowers]
        .filter((f) => !f.border)
        .sort((a, b) => Number(b.flower.form === 'leaf') - Number(a.flower.form === 'leaf'))
        .map((f) => (
          <Standing
            key={f.placedId}
            drawn={f}
            workshop={workshop}
            spots={spots.filter((s) => s.key.startsWith(`${f.placedId} `))}
            squash={frame.square || 1}
          />
        ))}
    </svg>
  )
}

function frameOf(piece: Piece): { outer: number; inner: number; square: number } {
  const { shape } = piece
  if (shape.kind === 'sheet') {
    const outer = Math.max(shape.lengthMm, shape.widthMm) / 2
    return {
      outer,
      inner: 0,
      square: Math.min(shape.lengthMm, shape.widthMm) / Math.max(shape.lengthMm, shape.widthMm),
    }
  }
  const inner = shape.kind === 'tier' ? shape.coveredMm / 2 : 0
  return { outer: shape.diameterMm / 2, inner, square: 0 }
}

function Standing(props: {
  drawn: DrawnFlower
  workshop: Workshop
  spots: { key: string; x: number; y: number; turn: number }[]
  squash: number
}) {
  const { drawn, spots, workshop } = props
  const { picture } = usePicture(drawn.flower, drawn, workshop)
  if (!picture) return null
  return spots.map((spot) => (
    <g
      key={spot.key}
      transform={`translate(${spot.x} ${-spot.y * props.squash}) rotate(${(-spot.turn * 180) / Math.PI})`}
    >
      <FlowerShapes shapes={picture.shapes} colours={drawn.colours} />
    </g>
  ))
}

function Border(props: { drawn: DrawnFlower; radius: number; square: number }) {
  const { drawn, radius, square } = props
  const hex = Object.values(drawn.colours)[0] ?? '#b9b9b9'
  const style = {
    fill: 'none',
    stroke: hex,
    strokeWidth: Math.max(1.5, drawn.diameterMm * 0.7),
    strokeLinecap: 'round' as const,
    strokeDasharray: `0.1 ${Math.max(2, drawn.diameterMm * 0.9)}`,
  }
  if (square)
    return (
      <rect x={-radius} y={-radius * square} width={2 * radius} height={2 * radius * square} {...style} />
    )
  return <circle r={radius * 0.97} {...style} />
}
