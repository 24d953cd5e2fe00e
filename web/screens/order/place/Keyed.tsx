import type { CSSProperties, KeyboardEvent, ReactNode, Ref } from 'react'
import { change, duplicate, mirror, nudge, rubOut, turnBy } from '#core/placing/byHand'
import { newId } from '../../../parts/newId.ts'
import type { Placing } from './usePlacing.ts'

/** A step by the keys, mm, and a large one; a turn by the keys, degrees. */
const STEP_MM = 1
const LARGE_STEP_MM = 5
const TURN_DEG = 15

/** A view in which keys act on what is chosen. */
export function Keyed(props: {
  placing: Placing
  label: string
  className: string
  style?: CSSProperties
  ref?: Ref<HTMLElement>
  children: ReactNode
}) {
  return (
    <section
      ref={props.ref}
      className={props.className}
      style={props.style}
      aria-label={props.label}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: the keys act on what is chosen in it
      tabIndex={0}
      onKeyDown={(e) => {
        if (keyed(e, props.placing)) e.preventDefault()
      }}
    >
      {props.children}
    </section>
  )
}

const arrows: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

/** What a key does to what is chosen. @returns whether it did anything. */
function keyed(e: KeyboardEvent, placing: Placing): boolean {
  const target = e.target as HTMLElement
  if (target.closest('input, textarea, select, [role="combobox"], [role="slider"]')) return false
  const { chosen, layout } = placing
  const ids = new Set(chosen)
  const arrow = arrows[e.key]
  if (e.key === 'n' || e.key === 'N') {
    const at = layout.sites.findIndex((s) => chosen.has(s.id))
    const step = e.shiftKey ? -1 : 1
    const next = layout.sites[(at + step + layout.sites.length) % Math.max(1, layout.sites.length)]
    if (next) placing.choose([next.id])
    return true
  }
  if (e.key === 'Escape') {
    placing.choose([])
    return chosen.size > 0
  }
  if (ids.size === 0) return false
  if (arrow) {
    const mm = e.shiftKey ? LARGE_STEP_MM : STEP_MM
    placing.change(
      'nudge',
      (now) => nudge(now, ids, arrow[0] * mm, arrow[1] * mm),
      `nudge ${[...ids].join()}`,
    )
    return true
  }
  const acts: Record<string, () => void> = {
    Delete: () => placing.change('rub out', (now) => rubOut(now.layout, ids)),
    Backspace: () => placing.change('rub out', (now) => rubOut(now.layout, ids)),
    '[': () => placing.change('turn', (now) => turnBy(now.layout, ids, TURN_DEG), `turn ${[...ids].join()}`),
    ']': () => placing.change('turn', (now) => turnBy(now.layout, ids, -TURN_DEG), `turn ${[...ids].join()}`),
    m: () => placing.change('mirror', (now) => mirror(now, ids)),
    p: () => {
      const pinned = layout.sites.filter((s) => ids.has(s.id)).every((s) => s.pinned)
      placing.change(pinned ? 'let go' : 'pin', (now) => change(now.layout, ids, { pinned: !pinned }))
    },
    g: () => {
      const sites = layout.sites.filter((s) => ids.has(s.id))
      const grouped = sites.every((s) => s.groupId !== null && s.groupId === sites[0]!.groupId)
      placing.change('group', (now) => change(now.layout, ids, { groupId: grouped ? null : newId() }))
    },
    d: () => {
      const made = duplicate(placing.hand, ids, newId)
      placing.change('copy', () => made.layout)
      placing.choose(made.ids)
    },
  }
  const act = e.ctrlKey || e.metaKey || e.altKey ? undefined : acts[e.key]
  act?.()
  return act !== undefined
}
