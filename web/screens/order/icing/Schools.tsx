import { Button, Switch } from '@mantine/core'
import { useState } from 'react'
import { Link } from 'react-router'
import type { School } from '#core/plan/schools'
import { greenOf } from '#core/plan/schools'
import { counted, formatMinutes } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Term } from '../../../glossary/Term.tsx'
import { Card } from '../../../parts/Card.tsx'
import { Loading } from '../../../parts/states.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import { useSchools } from '../../../workers/colours.ts'
import css from './Icing.module.css'

const words: Record<School['id'], { name: string; what: string; when: string }> = {
  separate: {
    name: 'Separate bowls',
    what: 'Every colour its own bowl and bag.',
    when: 'Better for two people, repairs, and colours that must come again.',
  },
  carryOver: {
    name: 'One bowl, carried over',
    what: 'The rest of each colour is tinted on to the next.',
    when: 'Better for one pair of hands and a set that should harmonise; no going back.',
  },
  both: {
    name: 'Both',
    what: 'Small colours in one bowl, large ones in their own.',
    when: 'Better where one colour takes most of the icing.',
  },
}

/** The two schools of mixing and their mixture, side by side for this very order; choosing one rewrites the plan. */
export function Schools() {
  const { order, plan, workshop, edit } = useOrderEditor()
  const weight = useWeight()
  const [greenLast, setGreenLast] = useState(true)
  const green = plan ? greenOf(order, plan) : null
  const { data: schools, error } = useSchools(order, workshop, greenLast ? green : null)
  if (error) return <p role="alert">The ways of mixing could not be worked out: {error.message}</p>
  if (!schools) return <Loading what="the ways of mixing" />
  const name = (id: string) => order.colours.find((c) => c.id === id)?.name ?? id
  const chosen = chosenOf(schools, order.mixing)
  const steps = schools.find((s) => s.id === chosen)?.steps ?? []
  return (
    <>
      <Card
        title="How to mix this order"
        aside="the same order, mixed three ways"
        actions={
          green && (
            <Switch
              size="xs"
              label={`${name(green)} last, by habit`}
              checked={greenLast}
              onChange={(e) => setGreenLast(e.currentTarget.checked)}
            />
          )
        }
      >
        <div className={css.schools}>
          {schools.map((school) => (
            <section
              key={school.id}
              aria-label={words[school.id].name}
              className={css.school}
              data-chosen={school.id === chosen || undefined}
            >
              <h3>{words[school.id].name}</h3>
              <p className={`quiet ${css.schoolWhat}`}>
                {words[school.id].what} {school.id !== 'separate' && <Term id="carriedOver" />}
              </p>
              <dl className={css.schoolFigures}>
                <dt>icing mixed</dt>
                <dd className="figure">{weight(school.mixedGrams)}</dd>
                <dt>thrown away</dt>
                <dd className="figure">{weight(school.thrownGrams)}</dd>
                <dt>bowls</dt>
                <dd className="figure">{school.bowls}</dd>
                <dt>bags</dt>
                <dd className="figure">{school.bags}</dd>
                <dt>bags kept aside</dt>
                <dd className="figure">{school.keptBags}</dd>
                <dt>hands on the icing</dt>
                <dd className="figure">{formatMinutes(school.minutes)}</dd>
                <dt>furthest off</dt>
                <dd>
                  {school.worst ? `${name(school.worst.colourId)}: ${school.worst.words}` : 'nothing tinted'}
                </dd>
              </dl>
              <p className="quiet">{words[school.id].when}</p>
              <Button
                variant={school.id === chosen ? 'filled' : 'outline'}
                aria-pressed={school.id === chosen}
                onClick={() => edit('school of mixing', (o) => ({ ...o, mixing: school.mixing }))}
              >
                {school.id === chosen ? 'Mixed like this' : 'Mix like this'}
              </Button>
            </section>
          ))}
        </div>
      </Card>
      {steps.length > 0 && (
        <Card
          title="One bowl, step by step"
          aside={`${counted(steps.length, 'colour')} in this order and no other`}
          actions={
            <Button component={Link} to="../bowl">
              Show them at the bowl
            </Button>
          }
        >
          <ol className={css.chain}>
            {steps.map((step, i) => (
              <li key={step.colourId}>
                <span className={css.chainSwatch}>
                  <span style={{ background: step.targetHex }} />
                  <span style={{ background: step.hex }} />
                </span>
                <span>
                  <strong>
                    {i + 1}. {step.name}
                  </strong>
                  <br />
                  <span className="quiet">{step.words}</span>
                </span>
                <span>
                  {step.fresh
                    ? i === 0
                      ? `begin with ${weight(step.freshGrams)} of plain icing`
                      : `wash the bowl, begin again with ${weight(step.freshGrams)}`
                    : `${weight(step.carriedGrams)} is left; stir in ${weight(step.freshGrams)} of plain icing`}
                </span>
                <span>
                  {step.add.map((a) => `${a.words} ${a.name.toLowerCase()}`).join(', ') || 'no more dye'}
                </span>
              </li>
            ))}
          </ol>
          <p className="quiet">
            What is left may be less than planned: weigh it, and stir in plain icing up to the weight of the
            bowl. Leftovers that have stood warm are not carried on: your food-safety plan decides.
          </p>
        </Card>
      )}
    </>
  )
}

/** Which of the schools an order is mixed by: a chain of all colours, of some, or none. */
function chosenOf(schools: readonly School[], mixing: School['mixing']): School['id'] {
  if (mixing.school === 'separate') return 'separate'
  const both = schools.find((s) => s.id === 'both')
  const size = (m: School['mixing']) => (m.school === 'separate' ? 0 : m.chain.length)
  return both && size(mixing) === size(both.mixing) ? 'both' : 'carryOver'
}
