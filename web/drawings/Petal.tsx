import { worn } from '#core/colour/worn'

/** A colour as three petals of it lie over each other: lighter at the thin rim, deeper where they overlap. */
export function Petals(props: { hex: string; size: number; label: string }) {
  const deep = worn(props.hex)
  const petal = 'M0 4C-17 -4 -21 -27 -9 -37C-4 -41 4 -41 9 -37C21 -27 17 -4 0 4Z'
  return (
    <svg
      width={props.size}
      height={props.size * 0.66}
      viewBox="-42 -43 84 55"
      role="img"
      aria-label={props.label}
    >
      {[-62, 62, 0].map((turn) => (
        <g key={turn} transform={`rotate(${turn})`}>
          <path d={petal} fill={props.hex} stroke={deep} strokeWidth="0.8" />
          <path
            d="M0 3C-10 -4 -12 -18 -6 -25C-2 -29 2 -29 6 -25C12 -18 10 -4 0 3Z"
            fill={deep}
            opacity="0.85"
          />
        </g>
      ))}
    </svg>
  )
}

/** The likely outcomes of a mix, run into each other: what a hand will get. */
export function Smear(props: { hexes: readonly string[]; height: number; label: string }) {
  return (
    <div
      role="img"
      aria-label={props.label}
      style={{
        height: props.height,
        background: `linear-gradient(90deg, ${props.hexes.join(', ')})`,
      }}
    />
  )
}
