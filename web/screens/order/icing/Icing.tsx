import { Tabs } from '@mantine/core'
import { useSearchParams } from 'react-router'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { FlowDiagram } from '../../../drawings/FlowDiagram.tsx'
import { Card } from '../../../parts/Card.tsx'
import { Empty, Loading } from '../../../parts/states.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import { Amounts } from './Amounts.tsx'
import { Chances } from './Chances.tsx'
import css from './Icing.module.css'
import { Mixing } from './Mixing.tsx'
import { Schools } from './Schools.tsx'
import { Supplies } from './Supplies.tsx'

/** Icing in parts: how much of what to make, where it goes, what to buy, how its colours are mixed, whether it will last. */
export function Icing() {
  const { order, plan } = useOrderEditor()
  const weight = useWeight()
  const [params, setParams] = useSearchParams()
  if (!plan) return <Loading what="the plan" />
  if (plan.batches.length === 0)
    return (
      <Card>
        <Empty title="Nothing to mix yet">Put flowers or a coat on a piece, and the bowls stand here.</Empty>
      </Card>
    )
  return (
    <Tabs
      color="ink"
      value={params.get('half') ?? 'amounts'}
      onChange={(half) => setParams(half ? { half } : {}, { replace: true })}
      keepMounted={false}
    >
      <Tabs.List mb="md">
        <Tabs.Tab value="amounts">How much</Tabs.Tab>
        <Tabs.Tab value="flow">Where it goes</Tabs.Tab>
        <Tabs.Tab value="supplies">On hand and to buy</Tabs.Tab>
        <Tabs.Tab value="mixing">Mixing</Tabs.Tab>
        <Tabs.Tab value="ways">Ways to mix</Tabs.Tab>
        <Tabs.Tab value="chances">Will it last?</Tabs.Tab>
      </Tabs.List>
      <Tabs.Panel value="amounts">
        <Amounts />
      </Tabs.Panel>
      <Tabs.Panel value="flow">
        <Card title="Where every gram goes">
          <FlowDiagram plan={plan} pieces={order.pieces} weight={weight} />
        </Card>
      </Tabs.Panel>
      <Tabs.Panel value="supplies">
        <Card>
          <Supplies plan={plan} />
        </Card>
      </Tabs.Panel>
      <Tabs.Panel value="mixing">
        <div className={css.half}>
          <Mixing />
        </div>
      </Tabs.Panel>
      <Tabs.Panel value="ways">
        <div className={css.half}>
          <Schools />
        </div>
      </Tabs.Panel>
      <Tabs.Panel value="chances">
        <Chances />
      </Tabs.Panel>
    </Tabs>
  )
}
