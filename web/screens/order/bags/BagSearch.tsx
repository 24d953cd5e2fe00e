import { Button, Progress } from '@mantine/core'
import { Link } from 'react-router'
import type { Plan } from '#core/model/plan'
import { type BagOffer, bagFigures } from '#core/plan/bagOffers'
import { counted, formatMinutes } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { TradeOff } from '../../../drawings/TradeOff.tsx'
import { Card } from '../../../parts/Card.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import { useBagSearch } from '../../../workers/bags.ts'
import css from './Bags.module.css'

/** The whole order as one problem: the plan as it stands against better ones that the search finds, to choose from. */
export function BagSearch({ plan }: { plan: Plan }) {
  const { order, workshop, edit } = useOrderEditor()
  const weight = useWeight()
  const { state, running, start, stop } = useBagSearch(order, workshop)
  const now = bagFigures(plan.bags, workshop.settings)
  const offers = state?.offers ?? []
  const chained = order.mixing.school === 'carryOver'
  const figures = (o: Omit<BagOffer, 'id' | 'words' | 'choice' | 'proved'>) => (
    <span className={`${css.offerFigures} quiet`}>
      <span>{counted(o.bags, 'bag')}</span>
      <span>{counted(o.changes, 'change')}</span>
      <span>{counted(o.washes, 'wash', 'washes')}</span>
      <span>{weight(o.wasteGrams)} left in bags</span>
      <span>{formatMinutes(o.minutes)} on bags and tips</span>
    </span>
  )
  return (
    <Card
      title="Is there a better way?"
      aside="all bags, tips, couplers and the order of work together"
      actions={
        running ? (
          <Button onClick={stop}>Stop, keep the best</Button>
        ) : (
          <Button disabled={chained} onClick={start}>
            {state ? 'Search again' : 'Search'}
          </Button>
        )
      }
    >
      <div className={css.search}>
        <div className={css.searchWords}>
          {chained ? (
            <p>
              One bowl passes through all colours, so the bags follow its chain.{' '}
              <Link to="../icing?half=ways">Mix in separate bowls</Link> to plan them freely.
            </p>
          ) : (
            <p className="quiet">
              {order.arrangement
                ? 'The bags are as you chose them; new flowers get bags of their own.'
                : 'This plan was found at once. A search of a few seconds may find a better one.'}{' '}
              Or <Link to="../icing?half=ways">carry one bag through all colours</Link>.
            </p>
          )}
          {state && (
            <Progress
              aria-label="How far the search is"
              color="ink"
              size="sm"
              w="100%"
              value={100 * state.done}
            />
          )}
          <ul className={css.offers}>
            <li>
              <span>
                <strong>As it stands</strong>
                <br />
                {figures(now)}
              </span>
              {order.arrangement && (
                <Button
                  size="compact-sm"
                  onClick={() => edit('let the bags go', (o) => ({ ...o, arrangement: null }))}
                >
                  Let it go
                </Button>
              )}
            </li>
            {offers.map((o, i) => (
              <li key={o.id}>
                <span>
                  <strong>
                    {i + 1}. {o.words}
                  </strong>
                  {o.proved && <span className="quiet"> · proved: nothing is better</span>}
                  <br />
                  {figures(o)}
                </span>
                <Button
                  size="compact-sm"
                  variant={o.id === 'own' ? 'filled' : 'outline'}
                  onClick={() => {
                    stop()
                    edit('choose bags', (order) => ({ ...order, arrangement: o.choice }))
                  }}
                >
                  Take it
                </Button>
              </li>
            ))}
          </ul>
        </div>
        {offers.length > 0 ? (
          <TradeOff offers={offers} chosen={now} />
        ) : (
          <p className="quiet">
            Plans are drawn here as bubbles: bags against changes, as large as what stays in the bags.
          </p>
        )}
      </div>
    </Card>
  )
}
