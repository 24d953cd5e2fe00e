import { useLocation, useParams, useSearchParams } from 'react-router'
import type { Bag, Plan } from '#core/model/plan'
import { pairKey } from '#core/plan/keys'
import { counted } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Term } from '../../../glossary/Term.tsx'
import { Beside } from '../../../parts/Beside.tsx'
import { Card } from '../../../parts/Card.tsx'
import { AT_ONCE } from '../../../parts/openAtOnce.ts'
import { PartLinks } from '../../../parts/PartLinks.tsx'
import { Empty, Loading } from '../../../parts/states.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import { FirstToDecide } from '../advice/FirstToDecide.tsx'
import { BagDetail } from './BagDetail.tsx'
import { BagSearch } from './BagSearch.tsx'
import css from './Bags.module.css'
import { BagTable } from './BagTable.tsx'
import { BagTile } from './BagTile.tsx'
import { Fewer } from './Fewer.tsx'
import { Sequence } from './Sequence.tsx'
import { OPENING_SCALE } from './scale.ts'

const parts = [
  ['', 'Fill'],
  ['/pipe', 'Pipe'],
  ['/fewer', 'Fewer'],
  ['/otherwise', 'Otherwise'],
  ['/better', 'Better'],
  ['/figures', 'Figures'],
] as const

/** What to fill, the order it is piped in, what would be better, and the figures; one bag opened beside it all. */
export function Bags() {
  const { order, plan } = useOrderEditor()
  const { part } = useParams()
  const { search } = useLocation()
  if (!plan) return <Loading what="the plan" />
  if (plan.bags.length === 0)
    return (
      <Card>
        <Empty title="No bags yet">Put flowers on a piece, and the bags to fill for them stand here.</Empty>
      </Card>
    )
  const at = `/orders/${order.id}/bags`
  return (
    <>
      <PartLinks
        label="Parts of the bags"
        parts={parts.map(([to, name]) => ({ to: `${at}${to}${search}`, end: true, name }))}
      />
      <FirstToDecide at="bags" />
      {part === 'better' ? (
        <BagSearch plan={plan} />
      ) : part === 'fewer' || part === 'otherwise' ? (
        <Fewer ways={part} />
      ) : (
        <WithBag part={part} plan={plan} />
      )}
    </>
  )
}

/** A part in which one bag is opened beside the others; the address says which. */
function WithBag({ part, plan }: { part: string | undefined; plan: Plan }) {
  const { order, workshop } = useOrderEditor()
  const [params, setParams] = useSearchParams()
  const weight = useWeight()
  const uses = new Map(plan.uses.map((u) => [u.id, u]))
  // by what is in it and its first tip: numbers change with every other plan
  const keysOf = (b: Bag) => b.useIds.map((id) => pairKey(uses.get(id)!))
  const chosen = params.get('bag')
  const bag = plan.bags.find((b) => chosen !== null && keysOf(b).includes(chosen)) ?? plan.bags[0]!
  const choose = (b: Bag) => setParams({ bag: keysOf(b)[0] ?? '' }, AT_ONCE)
  return (
    <Beside
      label="The opened bag"
      width={330}
      list={
        part === 'pipe' ? (
          <Sequence
            plan={plan}
            pieces={new Map(order.pieces.map((p) => [p.id, p.name]))}
            colours={new Map(plan.colours.map((c) => [c.id, c.name]))}
            things={new Map(order.setOns.map((t) => [t.id, t]))}
            bag={bag.number}
          />
        ) : part === 'figures' ? (
          <Card>
            <BagTable plan={plan} chosen={bag} choose={choose} />
          </Card>
        ) : (
          <Card
            title="Fill these, in this order"
            aside={
              <>
                openings {OPENING_SCALE} × life size where they fit ·{' '}
                <Term id="change">{counted(plan.totals.changes, 'tip change')}</Term> ·{' '}
                <Term id="wash">{counted(plan.totals.washes, 'wash', 'washes')}</Term> ·{' '}
                <Term id="staysInBags">
                  {weight(plan.residues.bags + plan.residues.topUps)} stays in bags
                </Term>
              </>
            }
          >
            <ul className={css.rail}>
              {plan.bags.map((b) => (
                <BagTile
                  key={b.number}
                  bag={b}
                  plan={plan}
                  workshop={workshop}
                  selected={b.number === bag.number}
                  select={() => choose(b)}
                />
              ))}
            </ul>
          </Card>
        )
      }
      opened={<BagDetail bag={bag} plan={plan} workshop={workshop} order={order} />}
    />
  )
}
