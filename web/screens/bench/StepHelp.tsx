import { useState } from 'react'
import { mishapsFor } from '#core/catalogue/mishaps'
import type { BenchStep, Frozen } from '#core/model/bench'
import { strokeDefinition } from '#core/strokes/index'
import { Mishaps } from '../wrong/Mishaps.tsx'
import css from './Bench.module.css'

/** What goes wrong at a step, why, and what to do. */
export function StepHelp({ step, frozen: { plan, workshop } }: { step: BenchStep; frozen: Frozen }) {
  const said = new Map<string, readonly string[]>()
  for (const id of step.useIds) {
    const use = plan.uses.find((u) => u.id === id)
    const layer = workshop.flowers
      .find((f) => f.id === use?.flowerId)
      ?.layers.find((l) => l.id === use?.layerId)
    if (!layer) continue
    const { label, words } = strokeDefinition(layer.stroke.kind)
    said.set(label, words.goesWrong)
  }
  const [search, setSearch] = useState('')
  return (
    <div className={css.help}>
      <h2>When it looks wrong</h2>
      <input
        className={css.look}
        aria-label="How does it look?"
        placeholder="one word of how it looks"
        value={search}
        onChange={(e) => setSearch(e.currentTarget.value)}
      />
      {search === '' &&
        [...said].map(([label, words]) => (
          <div key={label}>
            <h3>{label}</h3>
            {words.map((w) => (
              <p key={w}>{w}</p>
            ))}
          </div>
        ))}
      <Mishaps mishaps={mishapsFor(search, step.kind)} under="h2" />
    </div>
  )
}
