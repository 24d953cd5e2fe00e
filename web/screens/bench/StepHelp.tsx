import type { BenchStep, Frozen } from '#core/model/bench'
import { strokeDefinition } from '#core/strokes/index'
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
  return (
    <div className={css.words} style={{ overflow: 'auto', maxHeight: '100%', paddingTop: 16 }}>
      <h2>When it looks wrong</h2>
      {said.size === 0 && (
        <p>Pressure, angle, stiffness: one of these three, nearly always. Try one on a board first.</p>
      )}
      {[...said].map(([label, words]) => (
        <div key={label}>
          <h3>{label}</h3>
          {words.map((w) => (
            <p key={w}>{w}</p>
          ))}
        </div>
      ))}
    </div>
  )
}
