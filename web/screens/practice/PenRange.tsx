import { Button } from '@mantine/core'
import { useRef } from 'react'
import type { Prefs } from '../../practice/prefs.ts'
import css from './Practice.module.css'

/** Less between the lightest and the hardest press is no range. */
const LEAST_RANGE = 0.1

/** What a stylus tells at the lightest and at the hardest that a hand presses: pressed once, then every squeeze is between them. */
export function PenRange({ pen, set }: { pen: Prefs['range']; set: (part: Partial<Prefs>) => void }) {
  const seen = useRef<{ least: number; most: number } | null>(null)
  return (
    <div>
      <p className="fieldLabel">Stylus: press on the pad, as lightly and as hard as is comfortable</p>
      <div className={css.penPad}>
        <div
          role="img"
          aria-label="Pad for a stylus"
          onPointerMove={(e) => {
            if (e.pointerType !== 'pen' || e.pressure === 0) return
            const { least, most } = seen.current ?? { least: 1, most: 0 }
            seen.current = { least: Math.min(least, e.pressure), most: Math.max(most, e.pressure) }
          }}
          onPointerUp={() => {
            const range = seen.current
            if (range && range.most - range.least >= LEAST_RANGE) set({ range })
          }}
        >
          {pen
            ? `from ${Math.round(100 * pen.least)} to ${Math.round(100 * pen.most)} of what it can tell`
            : 'not pressed yet'}
        </div>
        {pen && <Button onClick={() => set({ range: null })}>Forget it</Button>}
      </div>
    </div>
  )
}
