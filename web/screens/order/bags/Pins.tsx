import { Button, Select } from '@mantine/core'
import type { BagPin } from '#core/model/order'
import type { Bag, Plan } from '#core/model/plan'
import { pairKey } from '#core/plan/keys'
import { shortOpening } from '#core/tips/index'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import css from './Bags.module.css'

/** What a person has settled about one bag, and ways to settle more; the rest of the plan adapts around it. */
export function Pins({ bag, plan }: { bag: Bag; plan: Plan }) {
  const { order, workshop, edit } = useOrderEditor()
  const uses = plan.uses.filter((u) => bag.useIds.includes(u.id))
  const keys = [...new Set(uses.map(pairKey))]
  const tipName = (id: string) => {
    const tip = workshop.tips.find((t) => t.id === id)
    return tip ? shortOpening(tip.opening) : id
  }
  const touches = (pin: BagPin) =>
    pin.kind === 'tipOnce'
      ? bag.tipIds.includes(pin.tipId)
      : pin.kind === 'apart'
        ? pin.pairs.some((k) => keys.includes(k))
        : keys.includes(pin.pair)
  const own = order.bagPins.filter(touches)
  const add = (pins: BagPin[]) => edit('pin a bag', (o) => ({ ...o, bagPins: [...o.bagPins, ...pins] }))
  const words = (pin: BagPin) => {
    if (pin.kind === 'alone') return 'its tip stays fixed, by itself'
    if (pin.kind === 'apart') return 'two tips kept apart'
    if (pin.kind === 'tipOnce') return `${tipName(pin.tipId)} is mounted once only`
    return `in ${workshop.bags.find((b) => b.id === pin.bagStockId)?.name.toLowerCase() ?? pin.bagStockId}`
  }
  return (
    <div className={css.pins}>
      {own.map((pin) => (
        <Button
          key={JSON.stringify(pin)}
          size="compact-sm"
          variant="filled"
          aria-label={`Let go: ${words(pin)}`}
          onClick={() => edit('let a pin go', (o) => ({ ...o, bagPins: o.bagPins.filter((p) => p !== pin) }))}
        >
          {words(pin)} ×
        </Button>
      ))}
      {keys.length > 1 && (
        <Button size="compact-sm" onClick={() => add(keys.map((pair): BagPin => ({ kind: 'alone', pair })))}>
          A bag for each tip
        </Button>
      )}
      {keys.length === 2 && (
        <Button size="compact-sm" onClick={() => add([{ kind: 'apart', pairs: [keys[0]!, keys[1]!] }])}>
          Keep these two apart
        </Button>
      )}
      {bag.tipIds.length === 1 &&
        bag.coupler === 'none' &&
        keys.length === 1 &&
        !own.some((p) => p.kind === 'alone') && (
          <Button size="compact-sm" onClick={() => add([{ kind: 'alone', pair: keys[0]! }])}>
            Keep its tip fixed
          </Button>
        )}
      {bag.washes > 0 && (
        <Button
          size="compact-sm"
          onClick={() => add(bag.tipIds.map((tipId): BagPin => ({ kind: 'tipOnce', tipId })))}
        >
          Mount its tips once only
        </Button>
      )}
      <Select
        size="xs"
        w={170}
        aria-label="Size of this bag"
        placeholder="Another size of bag…"
        value={null}
        onChange={(bagStockId) =>
          bagStockId && add(keys.map((pair): BagPin => ({ kind: 'bagSize', pair, bagStockId })))
        }
        data={workshop.bags.filter((b) => b.owned > 0).map((b) => ({ value: b.id, label: b.name }))}
      />
    </div>
  )
}
