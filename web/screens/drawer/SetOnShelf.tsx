import { Button, Group } from '@mantine/core'
import { useState } from 'react'
import { allergenWords } from '#core/common'
import { isStrewn, type SetOn, setOnWords } from '#core/model/setOn'
import type { Workshop } from '#core/model/workshop'
import { newSetOn } from '#core/orders/setOns'
import { editSettings } from '../../data/workshop.ts'
import { useLength } from '../../parts/length.tsx'
import { newId } from '../../parts/newId.ts'
import { SetOnForm } from '../../parts/SetOnForm.tsx'
import { Dab } from '../../parts/Swatch.tsx'
import { Empty } from '../../parts/states.tsx'
import css from './Drawer.module.css'

const edibleWords: Record<SetOn['edible'], string> = {
  yes: 'edible by its label',
  no: 'not food',
  unread: 'label not read yet',
}

/** Things that are put on and not piped: sugar flowers, pearls, beads, sprinkles, picks. Orders choose from them. */
export function SetOnShelf({ workshop }: { workshop: Workshop }) {
  const { setOns, currency } = workshop.settings
  const [open, setOpen] = useState<string | null>(null)
  const length = useLength()
  const change = (how: (now: SetOn[]) => SetOn[]) =>
    editSettings((now) => ({ ...now, setOns: how(now.setOns) }))
  const add = () => {
    const thing = newSetOn(newId())
    change((now) => [...now, thing])
    setOpen(thing.id)
  }
  return (
    <>
      <Group mb="md">
        <span className="quiet">
          An order takes over what it chooses from here, and may change it for itself.
        </span>
        <Button ml="auto" onClick={add}>
          Add a thing to put on
        </Button>
      </Group>
      {setOns.length === 0 && (
        <Empty title="Nothing to put on yet">
          Sugar flowers, pearls, beads, sprinkles, picks: whatever is put on and not piped.
        </Empty>
      )}
      <ul className={css.dyes}>
        {setOns.map((thing) => (
          <li key={thing.id} className={css.setOn}>
            <Dab hex={thing.hex} size={26} />
            <div>
              <strong>{thing.name}</strong>
              <div className="quiet">
                {[
                  setOnWords[thing.kind],
                  ...(isStrewn(thing.kind) ? [] : [`${length(thing.widthMm)} across`]),
                  edibleWords[thing.edible],
                  ...(thing.smallHard ? ['small and hard'] : []),
                  ...thing.allergens.map((a) => allergenWords[a]),
                ].join(', ')}
              </div>
            </div>
            <span className="figure">
              {thing.cost.toFixed(2)} {currency} {isStrewn(thing.kind) ? 'a gram' : 'each'}
            </span>
            <Button size="compact-sm" onClick={() => setOpen(thing.id)}>
              Change
            </Button>
            <Button
              size="compact-sm"
              variant="subtle"
              onClick={() => change((now) => now.filter((t) => t.id !== thing.id))}
            >
              Take out
            </Button>
          </li>
        ))}
      </ul>
      <SetOnForm
        thing={setOns.find((t) => t.id === open) ?? null}
        currency={currency}
        close={() => setOpen(null)}
        onChange={(part) => change((now) => now.map((t) => (t.id === open ? { ...t, ...part } : t)))}
      />
    </>
  )
}
