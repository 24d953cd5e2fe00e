import { SegmentedControl } from '@mantine/core'
import { Link } from 'react-router'
import type { Order, Safety } from '#core/model/order'
import type { Plan } from '#core/model/plan'
import { oneIn } from '#core/plan/promiseWords'
import { safetyChoices, safetyLevels } from '#core/plan/reserve'
import { useWeight } from '../../../parts/weight.tsx'
import css from './Brief.module.css'

/** How sure the icing must last, for what, and what every level costs. */
export function Sure(props: {
  order: Order
  plan: Plan | null | undefined
  currency: string
  setSafety: (safety: Safety) => void
  setPromiseFor: (scope: Order['promiseFor']) => void
}) {
  const { order, plan, currency, setSafety, setPromiseFor } = props
  const weight = useWeight()
  return (
    <div className={css.wide}>
      <span className="fieldLabel">How sure the icing must last</span>
      <SegmentedControl
        fullWidth
        aria-label="How sure the icing must last"
        value={order.safety}
        onChange={(v) => setSafety(v as Safety)}
        data={Object.entries(safetyLevels).map(([value, { name }]) => ({ value, label: name }))}
      />
      <SegmentedControl
        fullWidth
        mt={6}
        aria-label="What that is promised for"
        value={order.promiseFor}
        onChange={(v) => setPromiseFor(v as Order['promiseFor'])}
        data={[
          { value: 'colour', label: 'for each colour' },
          { value: 'order', label: 'for the order as a whole' },
        ]}
      />
      {plan && (
        <table className={css.levels}>
          <thead>
            <tr>
              <th scope="col">runs short</th>
              <th scope="col">a colour</th>
              <th scope="col">anything at all</th>
              <th scope="col">adds</th>
              <th scope="col">costs</th>
            </tr>
          </thead>
          <tbody>
            {safetyChoices(plan)
              .filter((choice) => choice.scope === order.promiseFor)
              .map(({ safety, colour, order: any, grams, cost }) => (
                <tr key={safety} data-chosen={safety === order.safety || undefined}>
                  <td>{safetyLevels[safety].name}</td>
                  <td>{oneIn(colour)}</td>
                  <td>{oneIn(any)}</td>
                  <td>{weight(grams)}</td>
                  <td>
                    {currency} {cost.toFixed(2)}
                  </td>
                </tr>
              ))}
          </tbody>
        </table>
      )}
      {plan && (
        <Link to={`/orders/${order.id}/icing?half=chances`} className={css.chances}>
          A thousand such orders, as dots
        </Link>
      )}
    </div>
  )
}
