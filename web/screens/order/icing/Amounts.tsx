import { Tabs } from '@mantine/core'
import { allergenWords } from '#core/common'
import { stiffnessWord } from '#core/icings/setting'
import type { Base, Batch, Plan, Supply } from '#core/model/plan'
import { counted, formatCups } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { FlowDiagram } from '../../../drawings/FlowDiagram.tsx'
import { Card, Stat, Stats } from '../../../parts/Card.tsx'
import { DataTable } from '../../../parts/DataTable.tsx'
import { NamedDab } from '../../../parts/Swatch.tsx'
import { useMeasures, useParts, useWeight, Was } from '../../../parts/weight.tsx'
import css from './Icing.module.css'

/** How much of what to make: base and ingredients, bowls in figures, and where every gram goes. */
export function Amounts() {
  const { order, plan, before, workshop } = useOrderEditor()
  const weight = useWeight()
  const parts = useParts()
  if (!plan) return null
  const { totals, reserve, residues } = plan
  const carried = plan.batches.reduce((sum, b) => sum + b.carriedGrams, 0)
  const whys: [string, number][] = [
    ['lands on the pieces', totals.pipedGrams],
    ['spares and spoiled', reserve.spoiled],
    ['practice', reserve.practice],
    ['against running short', reserve.margin],
    ['stays in bags', residues.bags + residues.topUps],
    ['stays in bowls, rounding', residues.bowls + residues.rounding],
    // one bowl through its colours: what is left of one is mixed only once
    ...(carried > 0 ? [['of that, goes on into the next bowl', -carried] as [string, number]] : []),
  ]
  const shown = parts(whys.map(([, grams]) => grams))
  const csv = (table: string) => `/api/orders/${order.id}/plan/${table}.csv`
  return (
    <div className={css.page}>
      <div className={css.columns}>
        {[plan.base, ...plan.otherBases]
          .filter((base) => base.grams > 0)
          .map((base) => (
            <BaseCard key={base.kind} base={base} />
          ))}
        <Card title="What is mixed, and why">
          <Stats>
            {whys.map(([name], i) => (
              <Stat key={name} name={name}>
                {shown.parts[i]}
              </Stat>
            ))}
            <Stat name="mixed in all">{shown.total}</Stat>
          </Stats>
        </Card>
      </div>
      <Card title="Where it goes">
        <FlowDiagram plan={plan} pieces={order.pieces} weight={weight} />
      </Card>
      <Card>
        <Tabs defaultValue="bowls" color="ink" keepMounted={false}>
          <Tabs.List mb="md">
            <Tabs.Tab value="bowls">Bowls</Tabs.Tab>
            <Tabs.Tab value="supplies">On hand and to buy</Tabs.Tab>
          </Tabs.List>
          <Tabs.Panel value="bowls">
            <BowlTable plan={plan} before={before} csvHref={csv('batches')} />
          </Tabs.Panel>
          <Tabs.Panel value="supplies">
            <SupplyTable
              supplies={plan.supplies}
              currency={workshop.settings.currency}
              csvHref={csv('supplies')}
            />
          </Tabs.Panel>
        </Tabs>
      </Card>
    </div>
  )
}

function BaseCard({ base }: { base: Base }) {
  const weight = useWeight()
  const count = base.makes.length
  const { workshop } = useOrderEditor()
  const icing = workshop.icings.find((k) => k.id === base.kind)
  const cups = (name: string, grams: number) => {
    const cupGrams = icing?.ingredients.find((i) => i.name === name)?.cupGrams
    if (workshop.settings.units !== 'ounces' || !cupGrams) return null
    return <span className="quiet">{formatCups(grams, cupGrams)}</span>
  }
  const shown = useParts()(base.ingredients.map((i) => i.grams))
  return (
    <Card
      title={`Make ${shown.total} of ${base.name.toLowerCase()}`}
      aside={count > 1 ? `in ${counted(count, 'make')} of ${weight(base.makes[0]!)}` : 'in one make'}
    >
      <ul className={css.ingredients}>
        {base.ingredients.map((i, at) => (
          <li key={i.name}>
            <span>{i.name}</span>
            <span className="figure">{shown.parts[at]}</span>
            {cups(i.name, i.grams)}
            {count > 1 && <span className="quiet">{weight(i.grams / count)} a make</span>}
          </li>
        ))}
      </ul>
      <p className="quiet">
        {base.allergens.length > 0
          ? `Contains ${base.allergens.map((a) => allergenWords[a]).join(', ')}. `
          : ''}
        {weight(base.mixerResidueGrams)} stays in the mixer.{' '}
        {icing &&
          icing.holds.coldDays > 0 &&
          `Keeps about ${icing.holds.roomHours} h at room temperature and ${icing.holds.coldDays} days cold; your food-safety plan decides.`}
      </p>
    </Card>
  )
}

function BowlTable(props: { plan: Plan; before: Plan | undefined; csvHref: string }) {
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

const kindWords: Record<Supply['kind'], string> = {
  tip: 'tip',
  coupler: 'coupler',
  bag: 'bag',
  nail: 'nail',
  square: 'parchment',
  ingredient: 'ingredient',
  setOn: 'put on',
  board: 'board',
  support: 'support',
  box: 'box',
}

function SupplyTable(props: { supplies: readonly Supply[]; currency: string; csvHref: string }) {
  const weight = useWeight()
  const inUnit = (s: Supply, value: number) => (s.unit === 'g' ? weight(value) : String(value))
  const amount = (s: Supply) => inUnit(s, s.needed)
  return (
    <DataTable
      caption="What must be on hand"
      csvHref={props.csvHref}
      rows={props.supplies}
      rowKey={(s) => `${s.kind} ${s.id}`}
      columns={[
        { key: 'kind', name: 'Kind', value: (s) => kindWords[s.kind] },
        { key: 'name', name: 'What', value: (s) => s.name, show: (s) => <strong>{s.name}</strong> },
        { key: 'needed', name: 'Needed', value: (s) => s.needed, show: amount, numeric: true },
        {
          key: 'owned',
          name: 'On hand',
          value: (s) => s.owned ?? '',
          show: (s) => (s.owned === null ? '' : inUnit(s, s.owned)),
          numeric: true,
        },
        {
          key: 'short',
          name: 'Short',
          value: (s) => s.short,
          show: (s) =>
            s.short > 0 ? <strong>{inUnit(s, s.short)} short</strong> : s.owned === null ? '' : 'enough',
          numeric: true,
        },
        { key: 'packs', name: 'Packs to buy', value: (s) => s.packs ?? '', numeric: true },
        {
          key: 'cost',
          name: 'Cost of what is used',
          value: (s) => s.cost ?? '',
          show: (s) => (s.cost === null ? '' : `${props.currency} ${s.cost.toFixed(2)}`),
          numeric: true,
        },
      ]}
    />
  )
}
