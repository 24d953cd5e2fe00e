import type { OwnedTip } from '#core/model/tip'
import { familyOf, openingSize } from '#core/tips/index'
import { OpeningDrawing } from '../../drawings/OpeningDrawing.tsx'
import css from './TipTray.module.css'

/** A tip among the others: its opening at the tray's one scale, its size as a figure, how many there are. */
export function TipTile(props: { tip: OwnedTip; pxPerMm: number; opened: boolean; open: () => void }) {
  const { tip, pxPerMm } = props
  const { label, describe } = familyOf(tip.opening)
  return (
    <button
      type="button"
      className={css.tile}
      aria-pressed={props.opened}
      aria-label={`${label} ${describe(tip.opening)}, ${ownedWords(tip)}`}
      data-owned={tip.owned > 0 || tip.base === 'none'}
      onClick={props.open}
    >
      <span className={css.opening}>
        <OpeningDrawing opening={tip.opening} pxPerMm={pxPerMm} bare id={`tray-${tip.id}`} />
      </span>
      <span className={css.size}>
        <strong className="figure">{Math.round(openingSize(tip.opening) * 10) / 10}</strong> mm
      </span>
      <span className={css.label}>{label}</span>
      <span className={css.count}>{tip.stamp || ownedWords(tip)}</span>
    </button>
  )
}

/** How many of a tip there are, as somebody says it. */
export const ownedWords = ({ owned, base }: OwnedTip) =>
  base === 'none' ? 'no tip' : owned === 0 ? 'none' : `${owned} owned`
