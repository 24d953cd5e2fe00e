import { schools } from '#core/placing/schools/index'
import { Card } from '../../../parts/Card.tsx'
import css from './Place.module.css'
import { firstSchool, type Placing } from './usePlacing.ts'

/** The ways of placing that suit a piece that has no places yet: one is chosen, and everything is placed. */
export function FirstSchool({ placing }: { placing: Placing }) {
  const { piece, hand, lay } = placing
  const first = firstSchool(piece)
  const fits = schools
    .filter((s) => s.id !== 'path' && s.suits(hand.chart))
    .sort((a, b) => Number(b.id === first) - Number(a.id === first))
  return (
    <Card title={piece.name} aside="not placed yet: so far only the numbers of its flowers are said">
      <p className="quiet">
        Choose how its flowers stand. Their numbers stay as they are; everything can be moved afterwards.
      </p>
      <ul className={css.schools}>
        {fits.map((school) => (
          <li key={school.id}>
            <button
              type="button"
              className={css.school}
              onClick={() => lay(`place as ${school.label.toLowerCase()}`, { schoolId: school.id })}
            >
              <strong>{school.label}</strong>
              <br />
              <span className="quiet">{school.hint}</span>
            </button>
          </li>
        ))}
      </ul>
    </Card>
  )
}
