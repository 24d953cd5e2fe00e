import { useMemo, useState } from 'react'
import { SHOWN } from '#core/plan/chances'
import { oneIn } from '#core/plan/promiseWords'
import { safetyLevels } from '#core/plan/reserve'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Card, Stat, Stats } from '../../../parts/Card.tsx'
import { NamedDab } from '../../../parts/Swatch.tsx'
import { Loading } from '../../../parts/states.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import { useChances } from '../../../workers/planner.ts'
import css from './Chances.module.css'
import { Dots } from './Dots.tsx'

/** The same order made a thousand times: how often something runs short, of what, and by how much. */
export function Chances() {
  const { order, plan, workshop } = useOrderEditor()
  const imagined = useChances(order, workshop)
  const [colourId, setColourId] = useState<string | null>(null)
  if (!plan || !imagined) return <Loading what="a thousand such orders" />
  const of = imagined.colours.find((c) => c.colourId === colourId)
  return (
    <div className={css.columns}>
      <Whole
        spare={of ? of.spare : imagined.orders}
        colour={of && plan.colours.find((c) => c.id === of.colourId)?.name}
      />
      <Card title="What runs short" aside="press a colour to see it alone">
        <p className={css.level}>
          {safetyLevels[order.safety].name}, promised{' '}
          {order.promiseFor === 'colour' ? 'for each colour' : 'for the order as a whole'}:{' '}
          {safetyLevels[order.safety].words}
        </p>
        <table className={css.table}>
          <thead>
            <tr>
              <th scope="col">colour</th>
              <th scope="col">short, of {SHOWN.toLocaleString('en')}</th>
              <th scope="col">that is</th>
            </tr>
          </thead>
          <tbody>
            <Row name="Anything at all" short={count(imagined.orders)} chosen={!of}>
              <button type="button" onClick={() => setColourId(null)} aria-pressed={!of}>
                Anything at all
              </button>
            </Row>
            {imagined.colours.map((c) => {
              const colour = plan.colours.find((p) => p.id === c.colourId)
              if (!colour) return null
              return (
                <Row key={c.colourId} name={colour.name} short={count(c.spare)} chosen={c === of}>
                  <button type="button" onClick={() => setColourId(c.colourId)} aria-pressed={c === of}>
                    <NamedDab hex={colour.hex} name={colour.name} />
                  </button>
                </Row>
              )
            })}
          </tbody>
        </table>
        <p className="quiet">
          Every day has a hand of its own, every kind of flower strays beside it, and flowers are spoiled as
          they fall. What is left of a stiffer bowl is thinned for a softer one of its colour. Rounding up to
          the scale’s step is not counted, so it lasts a little oftener than this.
        </p>
      </Card>
    </div>
  )
}

const count = (spare: readonly number[]): number => spare.filter((grams) => grams < 0).length

function Row(props: { name: string; short: number; chosen: boolean; children: React.ReactNode }) {
  return (
    <tr data-chosen={props.chosen || undefined}>
      <td>{props.children}</td>
      <td>{props.short}</td>
      <td>{oneIn(props.short / SHOWN)}</td>
    </tr>
  )
}

function Whole(props: { spare: readonly number[]; colour: string | undefined }) {
  const { spare, colour } = props
  const weight = useWeight()
  const say = colour ? weight : (share: number) => `${(share * 100).toFixed(1)} %`
  const short = useMemo(() => spare.filter((g) => g < 0).sort((a, b) => a - b), [spare])
  const sorted = useMemo(() => [...spare].sort((a, b) => a - b), [spare])
  const middle = sorted[sorted.length >> 1] ?? 0
  return (
    <Card
      title={colour ? `${colour}, a thousand times` : 'This order, a thousand times'}
      aside={
        colour
          ? 'each dot is one order'
          : 'each dot is one order: what its tightest colour had to spare of what was mixed'
      }
    >
      <Dots spare={spare} say={say} />
      <Stats>
        <Stat name="lasts">{spare.length - short.length}</Stat>
        <Stat name="runs short">{short.length}</Stat>
        <Stat name="then lacks, mostly">
          {short.length > 0 ? say(-short[short.length >> 1]!) : 'nothing'}
        </Stat>
        <Stat name="else left over, mostly">{say(Math.max(0, middle))}</Stat>
      </Stats>
    </Card>
  )
}
