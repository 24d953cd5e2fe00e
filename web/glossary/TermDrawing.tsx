import type { ReactNode } from 'react'
import type { TermId } from '#core/glossary/terms'

const W = 132
const H = 72
const line = { fill: 'none', stroke: 'var(--text)', strokeWidth: 1.6, strokeLinejoin: 'round' } as const
const icing = { fill: '#b9b9b9', stroke: 'var(--text)', strokeWidth: 1.4, strokeLinejoin: 'round' } as const
const dark = { ...icing, fill: '#6f6f6f' }
const metal = { ...icing, fill: 'var(--well)' }
const words = { fontSize: 9.5, fill: 'var(--text)', textAnchor: 'middle' } as const

const bag = (x: number) => `M${x - 20} 6h40l-15 46h-10z`
const tip = (x: number) => `M${x - 5} 52h10l-2.500 14h-5z`
const ground = <path d="M6 64H126" {...line} />
const cake = <path d="M34 64V26h64v38z" {...metal} />
const flower = (x: number, y: number, r: number) => (
  <g>
    {[0, 72, 144, 216, 288].map((deg) => (
      <ellipse
        key={deg}
        cx={x}
        cy={y - r * 0.62}
        rx={r * 0.42}
        ry={r * 0.58}
        transform={`rotate(${deg} ${x} ${y})`}
        {...icing}
      />
    ))}
    <circle cx={x} cy={y} r={r * 0.24} {...dark} />
  </g>
)
const bowl = (x: number, fill: string, level = 40) => (
  <g>
    <path d={`M${x - 20} ${level}q20 7 40 0l-5 20q-15 6-30 0z`} {...icing} fill={fill} />
    <path d={`M${x - 24} 30l8 30q16 7 32 0l8-30`} {...line} />
  </g>
)
const peak = (x: number, d: string, name: string) => (
  <g transform={`translate(${x} 0)`}>
    <path d={d} {...icing} />
    <text x={0} y={70} {...words} fontSize={8}>
      {name}
    </text>
  </g>
)
const clock = (x: number) => (
  <g>
    <circle cx={x} cy={34} r={20} {...line} />
    <path d={`M${x} 34V20M${x} 34l9 6`} {...line} />
  </g>
)

/** A small drawing of each word. */
const drawings: Record<TermId, ReactNode> = {
  tip: (
    <>
      <path d="M38 12h56l-18 44H56z" {...metal} />
      <ellipse cx={66} cy={12} rx={28} ry={6} {...metal} />
      <ellipse cx={66} cy={56} rx={10} ry={3} {...dark} />
    </>
  ),
  wideEnd: (
    <>
      <path d="M22 24q-4 12 0 24l84-9q3-3 0-6z" {...icing} />
      <text x={26} y={66} {...words}>
        wide
      </text>
      <text x={104} y={58} {...words}>
        narrow
      </text>
    </>
  ),
  coupler: (
    <>
      <path d={bag(40)} {...metal} />
      <path d="M31 46h18v10H31z" {...dark} />
      <path d={tip(40)} transform="translate(0 4)" {...metal} />
      <path d="M78 22h34v12H78zM82 34h26l-8 22H90z" {...metal} />
    </>
  ),
  change: (
    <>
      <path d={bag(66)} {...metal} />
      <path d={tip(24)} {...metal} />
      <path d={tip(108)} {...icing} />
      <path d="M34 58q14 10 24 0M98 58q-14 10-24 0" {...line} />
    </>
  ),
  wash: (
    <>
      <path d={tip(66)} transform="translate(0 -18) scale(1 1.3)" {...metal} />
      {[40, 52, 80, 92].map((x) => (
        <path key={x} d={`M${x} 20q-5 8 0 11q5-3 0-11z`} {...line} />
      ))}
      {ground}
    </>
  ),
  stiffness: (
    <>
      {peak(15, 'M-11 58h22q-9-6-11-34q-2 28-11 34z', 'stiff')}
      {peak(41, 'M-11 58h22q-8-6-8-22q1-9 6-8q-8-6-12 6q-2 18-8 24z', 'medium')}
      {peak(67, 'M-11 58h22q-4-10-2-18q-10-6-12 6q-2 9-8 12z', 'soft')}
      {peak(93, 'M-11 58h22q-5-7-11-7t-11 7z', 'writing')}
      {peak(119, 'M-11 58h22q-2-3-11-3t-11 3z', 'flood')}
    </>
  ),
  drop: (
    <>
      <path d="M52 4h28v20l-9 8v8H61v-8l-9-8z" {...metal} />
      <path d="M66 46q-8 12 0 17q8-5 0-17z" {...dark} />
    </>
  ),
  speck: (
    <>
      <path d="M14 14L104 48" stroke="var(--text)" strokeWidth={4} strokeLinecap="round" />
      <circle cx={106} cy={49} r={3.4} {...dark} />
      <text x={88} y={68} {...words}>
        a toothpick’s point
      </text>
    </>
  ),
  halves: (
    <>
      <path d="M46 6h20v60h-3l-2-14-5 0z" {...dark} />
      <path d="M66 6h20l-15 46h-2l-1 14h-2z" {...icing} />
    </>
  ),
  striped: (
    <>
      <path d={bag(66)} {...icing} />
      <path d="M46 6h8l9 46h-2z" {...dark} />
      <path d={tip(66)} {...metal} />
    </>
  ),
  nail: (
    <>
      <path d="M40 40h52M66 40v28" stroke="var(--text)" strokeWidth={3} />
      <path d="M44 36h44v4H44z" {...metal} />
      {flower(66, 20, 17)}
      <path d="M96 58q12-4 10-14" {...line} />
    </>
  ),
  lifted: (
    <>
      {flower(60, 20, 16)}
      <path d="M40 40h52l22 10M40 40l-6 3 46 12 34-5" {...metal} />
      {ground}
    </>
  ),
  inPlace: (
    <>
      {cake}
      {flower(66, 18, 13)}
      <path d={bag(104)} transform="rotate(42 104 30) scale(.6) translate(62 -4)" {...metal} />
    </>
  ),
  foot: (
    <>
      {cake}
      {ground}
      <path d="M34 64q4-7 8 0q4-7 8 0q4-7 8 0q4-7 8 0q4-7 8 0q4-7 8 0q4-7 8 0q4-7 8 0" {...icing} />
      <path d="M116 46l-12 14" {...line} />
      <text x={116} y={40} {...words}>
        foot
      </text>
    </>
  ),
  coat: (
    <>
      <path d="M30 64V22h72v42z" {...icing} />
      <path d="M36 64V28h60v36z" {...metal} />
      <text x={66} y={50} {...words}>
        cake
      </text>
    </>
  ),
  crumbCoat: (
    <>
      <path d="M30 64V22h72v42z" {...icing} />
      <path d="M36 64V28h60v36z" {...dark} />
      <path d="M39 64V31h54v33z" {...metal} />
      {[46, 58, 72, 84].map((x, i) => (
        <circle key={x} cx={x} cy={29.5 + (i % 2)} r={1.3} fill="var(--card)" />
      ))}
    </>
  ),
  spread: (
    <>
      <path d="M14 52q30-10 62-4l-2 10H14z" {...icing} />
      <path d="M58 46l52-26 6 6-48 28z" {...metal} />
      {ground}
    </>
  ),
  carriedOver: (
    <>
      {bowl(32, '#dcdcdc')}
      {bowl(100, '#8f8f8f')}
      <path d="M40 24q26-20 50 0m-8-6l9 7-2-11" {...line} />
    </>
  ),
  portion: (
    <>
      {bowl(36, '#a6a6a6')}
      <path d="M64 46l16-12M64 50l16 8" {...line} />
      <path d="M84 34q16-14 32 0z" {...icing} />
      <path d="M84 60q16-6 32 0z" {...icing} />
    </>
  ),
  base: (
    <>
      {bowl(66, '#ececec', 36)}
      <path d="M66 4v26m-9-8q9 16 18 0" {...line} />
    </>
  ),
  reserve: (
    <>
      {bowl(66, '#a6a6a6', 36)}
      <path d="M44 46h44" {...line} strokeDasharray="3 3" />
      <text x={108} y={44} {...words}>
        lands
      </text>
      <text x={108} y={36} {...words}>
        kept
      </text>
    </>
  ),
  staysInBags: (
    <>
      <path d="M46 10q20 8 40-4l-15 46H61z" {...metal} />
      <path d="M60 38l-3 0 4 14h10l5-16q-8 6-16 2z" {...dark} />
      <path d={tip(66)} {...dark} />
    </>
  ),
  spoiled: (
    <>
      {flower(42, 32, 20)}
      <g transform="rotate(60 96 40)">{flower(96, 40, 17)}</g>
      <path d="M80 22l32 34m0-34L80 56" stroke="var(--text)" strokeWidth={2} />
    </>
  ),
  noSlack: (
    <>
      {clock(34)}
      <path d="M66 24h26v12H66zM92 40h26v12H92z" {...metal} />
      <path d="M92 36v4" stroke="var(--text)" strokeWidth={3} />
    </>
  ),
  focal: (
    <>
      {flower(66, 36, 24)}
      {flower(28, 46, 12)}
      {flower(104, 46, 12)}
    </>
  ),
  standIn: (
    <>
      <path d="M20 30q-3 8 0 16l40-6q2-2 0-4z" {...line} strokeDasharray="4 3" />
      <path d="M76 29q-3 9 0 18l34-7q2-2 0-4z" {...icing} />
      <path d="M62 24q8-10 16-2m-6-3l7 4-1-8" {...line} />
    </>
  ),
}

/** What a word looks like, in greys and lines. */
export function TermDrawing({ id }: { id: TermId }) {
  return (
    <svg viewBox={`0 0 ${W} ${H}`} width={W} height={H} aria-hidden="true">
      {drawings[id]}
    </svg>
  )
}
