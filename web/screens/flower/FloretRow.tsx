import type { ReactNode } from 'react'
import { isGroup } from '#core/flowers/florets'
import type { Flower } from '#core/model/flower'
import { counted } from '#core/units'
import { MuteButton } from './MuteButton.tsx'
import css from './Studio.module.css'

/** A floret or a group over the layers that are part of it; the chosen one opens to be changed. */
export function FloretRow(props: {
  floret: Flower['florets'][number]
  /** Ids of its layers. */
  ofFloret: readonly string[]
  selected: string | null
  select: (id: string) => void
  muted: ReadonlySet<string>
  muteAll: (ids: readonly string[]) => void
  children: ReactNode
}) {
  const { floret, ofFloret, selected, select, muted, muteAll } = props
  return (
    <li className={css.layer} data-open={floret.id === selected}>
      <div className={css.layerLine}>
        <button
          type="button"
          className={css.floretHead}
          aria-expanded={floret.id === selected}
          onClick={() => select(floret.id)}
        >
          <strong>{floret.name}</strong>
          <span className="quiet">
            {isGroup(floret)
              ? `group of ${counted(ofFloret.length, 'layer')}`
              : `floret, ${floret.count} of them`}
          </span>
        </button>
        <MuteButton
          name={floret.name}
          muted={ofFloret.every((id) => muted.has(id))}
          mute={() => muteAll(ofFloret)}
        />
      </div>
      {props.children}
    </li>
  )
}
