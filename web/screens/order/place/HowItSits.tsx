import { Button } from '@mantine/core'
import type { Finding } from '#core/placing/findings/finding'
import { remedied } from '#core/placing/remedies'
import { FlagMark } from '../../../parts/FlagMark.tsx'
import { newId } from '../../../parts/newId.ts'
import css from './Place.module.css'
import type { Placing } from './usePlacing.ts'

/** Findings that are shown at once; the first are the gravest. */
const MOST_SHOWN = 8

/** What is found of a placing, with what would mend it; what somebody leaves is not said again. */
export function HowItSits(props: { placing: Placing; onPoint: (finding: Finding | null) => void }) {
  const { placing, onPoint } = props
  const { layout, judgement, lay } = placing
  const findings = judgement?.findings ?? []
  const toDecide = findings.filter((f) => f.severity === 'decide').length
  return (
    <>
      <div className={css.panelHead}>
        <h3>How it sits</h3>
        {toDecide > 0 && (
          <span className={css.wants}>
            <FlagMark /> {toDecide} to decide
          </span>
        )}
      </div>
      {judgement && (
        <p className="quiet">
          {Math.round(100 * judgement.covered)} % of its ground is covered.
          {findings.length === 0 && ' Nothing stands in anything’s way.'}
        </p>
      )}
      <ul className={css.findings}>
        {findings.slice(0, MOST_SHOWN).map((finding) => (
          <li
            key={finding.key}
            className={`${css.finding} ${finding.severity === 'note' ? css.findingNote : ''}`}
            onPointerEnter={() => onPoint(finding)}
            onPointerLeave={() => onPoint(null)}
            onFocus={() => onPoint(finding)}
            onBlur={() => onPoint(null)}
          >
            {finding.severity === 'decide' && (
              <span className={css.findingMark}>
                <FlagMark />
              </span>
            )}
            <p>{finding.words}</p>
            <div className={css.remedies}>
              {finding.remedies.map((remedy) => (
                <Button
                  key={remedy.label}
                  onClick={() =>
                    remedy.kind === 'fit'
                      ? lay(remedy.label, { fullness: remedy.fullness })
                      : placing.change(remedy.label, (now) => remedied(now, remedy, newId))
                  }
                >
                  {remedy.label}
                </Button>
              ))}
              <Button
                variant="subtle"
                onClick={() =>
                  placing.change('leave it', (now) => ({
                    ...now.layout,
                    waved: [...now.layout.waved, finding.key],
                  }))
                }
              >
                Leave it
              </Button>
            </div>
          </li>
        ))}
      </ul>
      {findings.length > MOST_SHOWN && <p className="quiet">and {findings.length - MOST_SHOWN} more</p>}
      {layout.waved.length > 0 && (
        <Button
          variant="subtle"
          onClick={() => placing.change('say it all again', (now) => ({ ...now.layout, waved: [] }))}
        >
          Say again what was left: {layout.waved.length}
        </Button>
      )}
    </>
  )
}
