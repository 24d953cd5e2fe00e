import { memo, useMemo } from 'react'
import type { ViewShape } from '#core/flowers/planView'
import { shade } from './shade.ts'

/** Colours by role id; a role that is missing is drawn in grey. */
export type RoleColours = Readonly<Record<string, string>>

const GREY = '#b9b9b9'

/** The strokes of a flower from above as SVG paths in millimetres, y down; for use inside another drawing. */
export const FlowerShapes = memo(function FlowerShapes(props: {
  shapes: readonly ViewShape[]
  colours: RoleColours
  /** Layers drawn in full; others are ghosted. All when left out. */
  layers?: ReadonlySet<string>
  /** Layers left out altogether. */
  hidden?: ReadonlySet<string>
}) {
  const top = Math.max(1, ...props.shapes.map((s) => s.heightMm))
  return props.shapes
    .filter((s) => !props.hidden?.has(s.layerId))
    .map((shape, i) => (
      <g
        // shapes have no identity of their own: their order is their place
        // biome-ignore lint/suspicious/noArrayIndexKey: see above
        key={i}
        opacity={props.layers && !props.layers.has(shape.layerId) ? 0.22 : 1}
      >
        <Shape shape={shape} hex={props.colours[shape.role] ?? GREY} level={shape.heightMm / top} />
      </g>
    ))
})

function Shape({ shape, hex, level }: { shape: ViewShape; hex: string; level: number }) {
  const fill = shade(hex, -0.1 + 0.24 * level)
  const edge = shade(hex, -0.42)
  switch (shape.kind) {
    case 'area':
      return (
        <>
          <path
            d={`${line(shape.points)}Z`}
            fill={fill}
            stroke={edge}
            strokeWidth={0.28}
            strokeLinejoin="round"
          />
          <path d={line(shape.ridge)} fill="none" stroke={shade(hex, 0.28)} strokeWidth={0.4} opacity={0.6} />
        </>
      )
    case 'rope':
      return (
        <>
          <path
            d={line(shape.points)}
            fill="none"
            stroke={edge}
            strokeWidth={2 * shape.radiusMm + 0.5}
            strokeLinecap="round"
          />
          <path
            d={line(shape.points)}
            fill="none"
            stroke={fill}
            strokeWidth={2 * shape.radiusMm}
            strokeLinecap="round"
          />
          {shape.ridged && (
            <path
              d={line(shape.points)}
              fill="none"
              stroke={edge}
              strokeWidth={1.1 * shape.radiusMm}
              strokeDasharray="0.35 1.5"
              opacity={0.55}
            />
          )}
        </>
      )
    case 'disc':
      return (
        <>
          <circle
            cx={shape.x}
            cy={-shape.y}
            r={shape.radiusMm}
            fill={fill}
            stroke={edge}
            strokeWidth={0.28}
          />
          <circle
            cx={shape.x - shape.radiusMm * 0.28}
            cy={-shape.y - shape.radiusMm * 0.28}
            r={shape.radiusMm * 0.38}
            fill={shade(hex, 0.32)}
            opacity={0.65}
          />
        </>
      )
  }
}

function line(points: readonly number[]): string {
  let d = ''
  for (let i = 0; i < points.length; i += 2)
    d += `${i === 0 ? 'M' : 'L'}${points[i]!.toFixed(2)} ${(-points[i + 1]!).toFixed(2)}`
  return d
}

/** Middle and half width of the square that holds all shapes, mm. */
export function bounds(shapes: readonly ViewShape[]): { x: number; y: number; half: number } {
  let [left, right, low, high] = [0, 0, 0, 0]
  const grow = (x: number, y: number, r: number) => {
    left = Math.min(left, x - r)
    right = Math.max(right, x + r)
    low = Math.min(low, y - r)
    high = Math.max(high, y + r)
  }
  for (const shape of shapes) {
    if (shape.kind === 'disc') grow(shape.x, shape.y, shape.radiusMm)
    else
      for (let i = 0; i < shape.points.length; i += 2)
        grow(shape.points[i]!, shape.points[i + 1]!, shape.kind === 'rope' ? shape.radiusMm : 0)
  }
  return {
    x: (left + right) / 2,
    y: (low + high) / 2,
    half: Math.max(1, (right - left) / 2, (high - low) / 2),
  }
}

/** A flower from above, filling a square of `size` px. */
export function FlowerPicture(props: {
  shapes: readonly ViewShape[]
  colours: RoleColours
  label: string
  size: number | string
  layers?: ReadonlySet<string>
  hidden?: ReadonlySet<string>
}) {
  const { x, y, half } = useMemo(() => bounds(props.shapes), [props.shapes])
  const reach = half * 1.04
  return (
    <svg
      viewBox={`${x - reach} ${-y - reach} ${2 * reach} ${2 * reach}`}
      width={props.size}
      height={props.size}
      role="img"
      aria-label={props.label}
      style={{ display: 'block', maxWidth: '100%' }}
    >
      <FlowerShapes
        shapes={props.shapes}
        colours={props.colours}
        layers={props.layers}
        hidden={props.hidden}
      />
    </svg>
  )
}
