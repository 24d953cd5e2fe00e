import { ActionIcon, Button } from '@mantine/core'
import { IconMinus, IconPlus } from '@tabler/icons-react'
import { Link } from 'react-router'
import type { Flower } from '#core/model/flower'
import { type OwnedTip, ownedTipSchema } from '#core/model/tip'
import { familyOf, openingArea } from '#core/tips/index'
import { editTip, removeTip } from '../../data/workshop.ts'
import { OpeningDrawing } from '../../drawings/OpeningDrawing.tsx'
import { Term } from '../../glossary/Term.tsx'
import { removeWithUndo } from '../../parts/removeWithUndo.tsx'
import { CSS_PX_PER_MM } from '../../parts/screenScale.ts'
import { TextField } from '../../parts/TextField.tsx'
import css from './TipTray.module.css'

const MOST_OWNED = 99
/** Enlarged, so that the wide end and the teeth can be seen. */
const PANEL_SCALE = 6
const PANEL_BOX = 190

const baseWords = {
  standard: 'Fits a standard coupler.',
  large: 'Large: a large coupler, or straight in the bag.',
  none: 'No tip: cut the bag.',
}

/** One tip: its opening enlarged, how many are owned, what is stamped on it, which flowers ask for it. */
export function TipPanel({ tip, usedBy }: { tip: OwnedTip; usedBy: readonly Flower[] }) {
  const family = familyOf(tip.opening)
  const words = family.describe(tip.opening)
  const count = (by: number) => editTip(tip.id, (now) => ({ ...now, owned: Math.max(0, now.owned + by) }))
  return (
    <div className={css.panel}>
      <h2>
        {family.label} {words}
      </h2>
      <OpeningDrawing
        opening={tip.opening}
        box={PANEL_BOX}
        pxPerMm={CSS_PX_PER_MM * PANEL_SCALE}
        id={`opened-${tip.id}`}
      />
      <p className="quiet">
        {openingArea(tip.opening).toFixed(1)} mm² open. {baseWords[tip.base]}{' '}
        {tip.base !== 'none' && <Term id="coupler">What is a coupler?</Term>}
      </p>
      {tip.base !== 'none' && (
        <>
          <div className={css.counter}>
            <ActionIcon
              variant="outline"
              aria-label={`One ${family.label} ${words} fewer`}
              disabled={tip.owned === 0}
              onClick={() => count(-1)}
            >
              <IconMinus size={16} />
            </ActionIcon>
            <span>
              <strong className="figure">{tip.owned === 0 ? 'none' : tip.owned}</strong> owned
            </span>
            <ActionIcon
              variant="outline"
              aria-label={`One ${family.label} ${words} more`}
              disabled={tip.owned >= MOST_OWNED}
              onClick={() => count(1)}
            >
              <IconPlus size={16} />
            </ActionIcon>
          </div>
          <TextField
            label={`What is stamped on it, or your name for it`}
            value={tip.stamp}
            schema={ownedTipSchema.shape.stamp.unwrap()}
            onChange={(stamp) => editTip(tip.id, (now) => ({ ...now, stamp }))}
          />
        </>
      )}
      <h3>{usedBy.length === 0 ? 'No flower asks for it' : `Flowers that ask for it: ${usedBy.length}`}</h3>
      <ul className={css.asking}>
        {usedBy.map((f) => (
          <li key={f.id}>
            <Link to={`/flowers/${f.id}`}>{f.name}</Link>
          </li>
        ))}
      </ul>
      {tip.source === 'own' && (
        <Button onClick={() => void removeWithUndo('tips', tip.id, words, () => removeTip(tip.id))}>
          Delete
        </Button>
      )}
    </div>
  )
}
