import { useMemo } from 'react'
import { useParams } from 'react-router'
import { beforeOrder } from '#core/practice/beforeOrder'
import { layerKey } from '#core/practice/drillFor'
import { useOrderEditor } from '../../data/orderEditor.tsx'
import { useTries } from '../../data/practice.ts'
import { Practice } from './Practice.tsx'

/** Practice for an order: which drills do most for it, and their minutes in its timeline. */
export function OrderPractice() {
  const { order, plan, workshop, edit } = useOrderEditor()
  const { '*': drill } = useParams()
  const { data: tries } = useTries()
  const suggested = useMemo(
    () =>
      plan && tries
        ? beforeOrder(plan.uses, workshop, (key) => tries.filter((t) => t.drill === key).map((t) => t.marks))
        : [],
    [plan, tries, workshop],
  )
  const set = order.drills.length > 0
  return (
    <Practice
      workshop={workshop}
      drillKey={drill || suggested[0]?.drill || null}
      base={`/orders/${order.id}/bench/practice`}
      before={{
        suggested,
        layers: new Set(
          (plan?.uses ?? []).flatMap((u) => (u.flowerId && u.layerId ? layerKey(u.flowerId, u.layerId) : [])),
        ),
        settled: order.drills,
        settle: () =>
          edit(set ? 'no drills before the order' : 'drills before the order', (o) => ({
            ...o,
            drills: set
              ? []
              : suggested.map(({ drill: key, label, minutes }) => ({ drill: key, label, minutes })),
          })),
      }}
    />
  )
}
