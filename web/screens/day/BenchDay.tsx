import { Checkbox } from '@mantine/core'
import { useMemo } from 'react'
import { useSearchParams } from 'react-router'
import useSWR from 'swr'
import type { StoredOrder } from '#contract/orders'
import { asOnDay, mergeOrders, shareOut } from '#core/orders/day'
import { dayCautions } from '#core/orders/dayCautions'
import { bagCount, bowlCount } from '#core/plan/counts'
import { counted } from '#core/units'
import { api } from '../../data/api.ts'
import { useOrders } from '../../data/orders.ts'
import { useWorkshop } from '../../data/workshop.ts'
import { Card, PageHead, Stat, Stats } from '../../parts/Card.tsx'
import { today, useCalendar } from '../../parts/calendar.ts'
import { FlagMark } from '../../parts/FlagMark.tsx'
import { Dab } from '../../parts/Swatch.tsx'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import { useWeight } from '../../parts/weight.tsx'
import { usePlans } from '../../workers/planner.ts'
import css from './BenchDay.module.css'

/** Several orders on one bench: equal colours in one bowl, then shared out with labels. */
export function BenchDay() {
  const { orders: coming, error } = useOrders('coming', today(), '')
  const { dayHeading } = useCalendar()
  const { workshop } = useWorkshop()
  const weight = useWeight()
  const [params, setParams] = useSearchParams()
  const ids = useMemo(() => params.get('orders')?.split(',').filter(Boolean) ?? [], [params])
  const { data: orders } = useSWR(ids.length > 0 ? ['day', ids] : null, () =>
    Promise.all(ids.map(async (id) => (await api<StoredOrder>(`/orders/${id}`)).order)),
  )
  const wanted = useMemo(() => {
    if (!orders || orders.length === 0) return []
    const day = mergeOrders(orders)
    return [day, ...asOnDay(orders, day)]
  }, [orders])
  const plans = usePlans(wanted, workshop)
  // an order that is past stays in the list as long as it is chosen
  const all = coming && [...(orders ?? []).filter((o) => !coming.some((c) => c.id === o.id)), ...coming]
  if (error && !all) return <Failed what="The orders" error={error} />
  if (!all || !workshop) return <Loading what="the orders" />
  const toggle = (id: string) => {
    const next = ids.includes(id) ? ids.filter((x) => x !== id) : [...ids, id]
    setParams(next.length > 0 ? { orders: next.join(',') } : {}, { replace: true })
  }
  const day = plans?.[0]?.plan
  const apart = plans?.slice(1).flatMap((p) => (p.plan ? [p.plan] : [])) ?? []
  const sum = (of: (p: NonNullable<typeof day>) => number) => apart.reduce((total, p) => total + of(p), 0)
  const cautions = day && orders ? dayCautions(orders, day, apart, workshop) : []
  const hexOf = (id: string) => day?.colours.find((c) => c.id === id)
  return (
    <>
      <PageHead
        title="Bench day"
        line="Orders worked together: one bowl for equal colours, shared out with labels"
      />
      <div className={css.columns}>
        <Card title="Which orders">
          <ul className={css.choose}>
            {all.map((o) => (
              <li key={o.id}>
                <Checkbox
                  label={o.title}
                  description={dayHeading(o.collectAt.slice(0, 10))}
                  checked={ids.includes(o.id)}
                  onChange={() => toggle(o.id)}
                />
              </li>
            ))}
          </ul>
        </Card>
        <div className={css.side}>
          {ids.length === 0 && (
            <Card>
              <Empty title="Choose the orders">
                Tick two or more that you will pipe on the same day; their bowls are put together here.
              </Empty>
            </Card>
          )}
          {ids.length > 0 && !day && <Loading what="the plan of the day" />}
          {day && (
            <Card title="Together, not one by one">
              <Stats>
                <Stat name="icing mixed" note={`${weight(sum((p) => p.totals.mixedGrams))} one by one`}>
                  {weight(day.totals.mixedGrams)}
                </Stat>
                <Stat name="bowls" note={`${sum((p) => bowlCount(p.batches))} one by one`}>
                  {bowlCount(day.batches)}
                </Stat>
                <Stat name="bags" note={`${sum((p) => bagCount(p.bags))} one by one`}>
                  {bagCount(day.bags)}
                </Stat>
              </Stats>
            </Card>
          )}
          {cautions.length > 0 && (
            <Card title="Before you work them together">
              <ul className={css.cautions}>
                {cautions.map((caution) => (
                  <li key={caution}>
                    <FlagMark /> {caution}
                  </li>
                ))}
              </ul>
            </Card>
          )}
          {day && orders && (
            <Card
              title="Bowls, and who gets what"
              aside={`${counted(bowlCount(day.batches), 'bowl')}, in ${counted(day.batches.length, 'portion')} of one stiffness`}
            >
              <ol className={css.bowls}>
                {shareOut(day, orders.length).map(({ batch, shares }) => (
                  <li key={batch.id}>
                    <Dab hex={hexOf(batch.colourId)?.hex ?? '#ffffff'} size={34} />
                    <span>
                      <strong>{hexOf(batch.colourId)?.name}</strong>
                      <br />
                      <span className="quiet">{batch.stiffness}</span>
                    </span>
                    <span className={`${css.grams} figure`}>{weight(batch.grams)}</span>
                    <span className={css.labels}>
                      {shares.map((s) => (
                        <span key={s.order} className={css.label}>
                          {orders[s.order]!.title}
                          <strong>{weight(s.grams)}</strong>
                        </span>
                      ))}
                    </span>
                  </li>
                ))}
              </ol>
            </Card>
          )}
        </div>
      </div>
    </>
  )
}
