import { stiffnessWord } from '#core/icings/setting'
import type { Batch, Plan } from '#core/model/plan'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { DataTable } from '../../../parts/DataTable.tsx'
import { NamedDab } from '../../../parts/Swatch.tsx'
import { useMeasures, useWeight, Was } from '../../../parts/weight.tsx'

/** Every bowl in figures. */
export function BowlTable(props: { plan: Plan; before: Plan | undefined; csvHref: string }) {
  const weight = useWeight()
  const hexes = new Map(props.plan.colours.map((c) => [c.id, c]))
  const gramsBefore = new Map(props.before?.batches.map((b) => [b.id, b.grams]))
  const name = (b: Batch) => hexes.get(b.colourId)?.name ?? b.colourId
  const { liquid, toWeigh } = useMeasures()
  const { icings } = useOrderEditor().workshop
  return (
    <DataTable
      caption="Bowls, in mixing order: lightest first"
      csvHref={props.csvHref}
      rows={props.plan.batches}
      rowKey={(b) => b.id}
      columns={[
        { key: 'order', name: 'Bowl', value: (b) => b.order, numeric: true },
        {
          key: 'colour',
          name: 'Colour',
          value: name,
          show: (b) => <NamedDab hex={hexes.get(b.colourId)?.hex ?? '#ffffff'} name={name(b)} />,
        },
        {
          key: 'stiffness',
          name: 'Stiffness',
          value: (b) => stiffnessWord(icings.find((i) => i.id === b.icingKindId)!, b.stiffness),
        },
        {
          key: 'grams',
          name: 'Mix',
          value: (b) => b.grams,
          show: (b) => {
            const was = gramsBefore.get(b.id)
            return (
              <>
                <strong>{weight(b.grams)}</strong>
                <Was now={weight(b.grams)} before={was === undefined ? undefined : weight(was)} />
              </>
            )
          },
          numeric: true,
        },
        {
          key: 'base',
          name: 'Base',
          value: (b) => b.baseGrams,
          show: (b) => toWeigh(b.baseGrams),
          numeric: true,
        },
        {
          key: 'liquid',
          name: 'Liquid',
          value: (b) => b.liquidGrams,
          show: (b) => (b.liquidGrams > 0.05 ? liquid(b.liquidGrams) : 'none'),
          numeric: true,
        },
        {
          key: 'piped',
          name: 'On the pieces',
          value: (b) => b.pipedGrams,
          show: (b) => weight(b.pipedGrams),
          numeric: true,
        },
        {
          key: 'reserve',
          name: 'Reserve',
          value: (b) => b.reserveGrams,
          show: (b) => weight(b.reserveGrams),
          numeric: true,
        },
        {
          key: 'lost',
          name: 'Stays behind',
          value: (b) => b.bagResidueGrams + b.bowlResidueGrams + b.roundingGrams,
          show: (b) => weight(b.bagResidueGrams + b.bowlResidueGrams + b.roundingGrams),
          numeric: true,
        },
        { key: 'bags', name: 'Bags', value: (b) => b.bagNumbers.join(', ') || 'spread on' },
      ]}
    />
  )
}
