import { type ReactNode, useRef } from 'react'
import css from './Lever.module.css'

/** A tall lever for the thumb of the other hand: 0 at its foot, 1 at its head. */
export function Lever(props: {
  label: string
  value: number
  marks: readonly { at: number; says: string }[]
  /** It goes back to nothing when it is let go of. */
  springs: boolean
  disabled?: boolean
  onChange: (value: number) => void
  foot?: ReactNode
}) {
  const { label, value, marks, springs, disabled, onChange, foot } = props
  const track = useRef<HTMLDivElement>(null)
  const at = (clientY: number) => {
    const box = track.current!.getBoundingClientRect()
    onChange(Math.min(1, Math.max(0, 1 - (clientY - box.top) / box.height)))
  }
  return (
    <div className={css.lever} data-disabled={disabled || undefined}>
      <div
        ref={track}
        className={css.track}
        role="slider"
        tabIndex={disabled ? -1 : 0}
        aria-label={label}
        aria-orientation="vertical"
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(100 * value)}
        aria-disabled={disabled}
        onPointerDown={(e) => {
          if (disabled) return
          e.currentTarget.setPointerCapture(e.pointerId)
          at(e.clientY)
        }}
        onPointerMove={(e) => !disabled && e.currentTarget.hasPointerCapture(e.pointerId) && at(e.clientY)}
        onPointerUp={() => !disabled && springs && onChange(0)}
        onPointerCancel={() => !disabled && springs && onChange(0)}
      >
        <div className={css.fill} style={{ height: `${100 * value}%` }} />
        {marks.map(({ at: where, says }) => (
          <span key={says} className={css.mark} style={{ bottom: `${100 * where}%` }}>
            {says}
          </span>
        ))}
        {!disabled && <div className={css.thumb} style={{ bottom: `${100 * value}%` }} />}
      </div>
      {foot}
    </div>
  )
}
