import { Button } from '@mantine/core'
import { useMemo } from 'react'
import { Link } from 'react-router'
import type { Stiffness } from '#core/common'
import { stiffnessWord } from '#core/icings/setting'
import { colourBowls, taskOf } from '#core/plan/colourBowls'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Smear } from '../../../drawings/Petal.tsx'
import { Card } from '../../../parts/Card.tsx'
import { useMeasures, useWeight } from '../../../parts/weight.tsx'
import { useBowls } from '../../../workers/colours.ts'
import css from './Icing.module.css'

/** How the colours are mixed: bowls in order with their drops. */
export function Mixing() {
  const { order, plan, workshop } = useOrderEditor()
  const weight = useWeight()
  const { toWeigh, liquid } = useMeasures()
  const bowls = useMemo(() => (plan ? colourBowls(order, plan) : []), [order, plan])
  const tasks = useMemo(() => bowls.map(taskOf), [bowls])
  const answers = useBowls(tasks, workshop)
  const word = (icingKindId: string, stiffness: Stiffness) =>
    stiffnessWord(workshop.icings.find((i) => i.id === icingKindId)!, stiffness)
  const chained = order.mixing.school === 'carryOver'
  return (
    <Card
      title="Bowls, in this order"
      aside={chained ? 'as the chain goes' : 'light to dark, so that the same spatula goes on'}
      actions={
        <Button variant="filled" component={Link} to="../bowl">
          Show them at the bowl
        </Button>
      }
    >
      <ol className={css.bowls}>
        {bowls.map((bowl, i) => {
          const answer = answers?.find(
            (a) => a.colourId === bowl.colourId && a.icingKindId === bowl.icingKindId,
          )
          return (
            <li key={`${bowl.icingKindId} ${bowl.colourId}`}>
              <span className={`${css.bowlNumber} figure`}>{i + 1}</span>
              <span className={css.bowlSwatch}>
                <span style={{ background: bowl.targetHex }} />
                {answer && (
                  <Smear hexes={answer.chosen.likely.smear} height={44} label={answer.chosen.words} />
                )}
              </span>
              <span>
                <strong>{bowl.name}</strong>
                <br />
                <span className="quiet">
                  {bowl.parts
                    .map((p) => `${weight(p.grams)} ${word(bowl.icingKindId, p.stiffness)}`)
                    .join(', ')}
                </span>
              </span>
              <span>
                {bowl.carriedGrams > 0.5 && `${weight(bowl.carriedGrams)} tinted on, `}
                {toWeigh(bowl.baseGrams)} base
              </span>
              <span>
                {bowl.carriedGrams > 0.5
                  ? 'step by step under Ways to mix'
                  : answer
                    ? answer.chosen.doses.map((d) => `${d.words} ${d.name.toLowerCase()}`).join(', ') ||
                      'no dye'
                    : 'working it out…'}
              </span>
              <span className="quiet">
                {bowl.parts
                  .filter((p) => p.liquidGrams > 0.05)
                  .map((p) => `${liquid(p.liquidGrams)} of liquid for ${word(bowl.icingKindId, p.stiffness)}`)
                  .join(', ')}
              </span>
            </li>
          )
        })}
      </ol>
      {bowls.some((b) => b.parts.length > 1) && (
        <p className="quiet">
          A colour wanted at two stiffnesses is tinted in one bowl, then divided and thinned: so it matches.
        </p>
      )}
    </Card>
  )
}
