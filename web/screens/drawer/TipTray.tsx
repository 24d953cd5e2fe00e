import { ActionIcon, Button, Group, Menu, SegmentedControl, TextInput } from '@mantine/core'
import { IconMinus, IconPlus } from '@tabler/icons-react'
import { useState } from 'react'
import { tipSheetPages } from '#core/guides/tipSheet'
import { type OwnedTip, ownedTipSchema } from '#core/model/tip'
import type { Workshop } from '#core/model/workshop'
import { familyOf, openingArea, type TipFamilyName, tipFamilies } from '#core/tips/index'
import { countTip, removeTip } from '../../data/workshop.ts'
import { OpeningDrawing } from '../../drawings/OpeningDrawing.tsx'
import { attempt } from '../../parts/notify.tsx'
import { printPages, savePages } from '../../parts/printPages.ts'
import { TextField } from '../../parts/TextField.tsx'
import { AddTip } from './AddTip.tsx'
import css from './Drawer.module.css'

const PX_PER_MM = 96 / 25.4
const SCALE = 2.5

const baseWords = {
  standard: 'fits a standard coupler',
  large: 'large: large coupler or straight in the bag',
  none: 'no tip: cut the bag',
}

/** Every tip by family, its opening to one scale, how many are owned and what is stamped on it. */
export function TipTray({ workshop }: { workshop: Workshop }) {
  const [search, setSearch] = useState('')
  const [which, setWhich] = useState('all')
  const [adding, setAdding] = useState(false)
  const wanted = search.trim().toLowerCase()
  const fits = (tip: OwnedTip) => {
    const words = `${familyOf(tip.opening).label} ${familyOf(tip.opening).describe(tip.opening)} ${tip.stamp}`
    return (which === 'all' || tip.owned > 0) && words.toLowerCase().includes(wanted)
  }
  const families = (Object.keys(tipFamilies) as TipFamilyName[])
    .map((name) => ({ name, tips: workshop.tips.filter((t) => t.opening.family === name && fits(t)) }))
    .filter((f) => f.tips.length > 0)
  return (
    <>
      <Group mb="md">
        <TextInput
          aria-label="Search by size or stamp"
          placeholder="Search by size or stamp"
          value={search}
          onChange={(e) => setSearch(e.currentTarget.value)}
          w={240}
        />
        <SegmentedControl
          aria-label="Which tips"
          value={which}
          onChange={setWhich}
          data={[
            { value: 'all', label: 'all' },
            { value: 'owned', label: 'owned' },
          ]}
        />
        <span className="quiet">Openings are drawn {SCALE} × life size; the arrow marks the wide end.</span>
        <Menu position="bottom-end">
          <Menu.Target>
            <Button ml="auto">True-size sheet</Button>
          </Menu.Target>
          <Menu.Dropdown>
            <Menu.Item onClick={() => printPages(tipSheetPages(workshop.tips), 'Openings at true size')}>
              Print it, to lay your tips on
            </Menu.Item>
            <Menu.Item onClick={() => savePages(tipSheetPages(workshop.tips), 'openings')}>
              Save as SVG
            </Menu.Item>
          </Menu.Dropdown>
        </Menu>
        <Button onClick={() => setAdding(true)}>Add a tip of our own</Button>
      </Group>
      {families.length === 0 && <p className="quiet">No tip fits. Try a size in millimetres, or a stamp.</p>}
      {families.map(({ name, tips }) => (
        <section key={name} className={css.family} aria-label={tipFamilies[name].label}>
          <h2>{tipFamilies[name].label}</h2>
          <ul className={css.tips}>
            {tips.map((tip) => (
              <TipCard key={tip.id} tip={tip} />
            ))}
          </ul>
        </section>
      ))}
      <AddTip opened={adding} close={() => setAdding(false)} />
    </>
  )
}

function TipCard({ tip }: { tip: OwnedTip }) {
  const family = familyOf(tip.opening)
  const words = family.describe(tip.opening)
  const count = (owned: number) => void attempt(() => countTip(tip, { owned, stamp: tip.stamp }))
  return (
    <li className={css.tip} data-owned={tip.owned > 0 || tip.base === 'none'}>
      <OpeningDrawing opening={tip.opening} box={104} pxPerMm={PX_PER_MM * SCALE} id={`tray-${tip.id}`} />
      <strong>{words}</strong>
      <span className="quiet">
        {openingArea(tip.opening).toFixed(1)} mm² · {baseWords[tip.base]}
      </span>
      {tip.base !== 'none' && (
        <div className={css.counter}>
          <ActionIcon
            variant="outline"
            aria-label={`One ${family.label} ${words} fewer`}
            disabled={tip.owned === 0}
            onClick={() => count(tip.owned - 1)}
          >
            <IconMinus size={16} />
          </ActionIcon>
          <span className="figure">{tip.owned === 0 ? 'none' : tip.owned}</span>
          <ActionIcon
            variant="outline"
            aria-label={`One ${family.label} ${words} more`}
            onClick={() => count(tip.owned + 1)}
          >
            <IconPlus size={16} />
          </ActionIcon>
        </div>
      )}
      {tip.base !== 'none' && (
        <TextField
          hideLabel
          label={`Stamp on ${family.label} ${words}`}
          placeholder="stamped…"
          value={tip.stamp}
          schema={ownedTipSchema.shape.stamp.unwrap()}
          onChange={(stamp) => void attempt(() => countTip(tip, { owned: tip.owned, stamp }))}
        />
      )}
      {tip.source === 'own' && (
        <Button size="compact-sm" onClick={() => void attempt(() => removeTip(tip.id))}>
          Take out
        </Button>
      )}
    </li>
  )
}
