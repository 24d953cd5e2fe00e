import { ActionIcon, Button, Group, Menu, SegmentedControl, TextInput } from '@mantine/core'
import { IconMinus, IconPlus } from '@tabler/icons-react'
import { useMemo, useState } from 'react'
import { tipSheetPages } from '#core/guides/tipSheet'
import { type OwnedTip, ownedTipSchema } from '#core/model/tip'
import type { Workshop } from '#core/model/workshop'
import { familyOf, openingArea, type TipFamilyName, tipFamilies } from '#core/tips/index'
import { editTip, removeTip } from '../../data/workshop.ts'
import { OpeningDrawing } from '../../drawings/OpeningDrawing.tsx'
import { printPages, savePages } from '../../parts/printPages.ts'
import { removeWithUndo } from '../../parts/removeWithUndo.tsx'
import { CSS_PX_PER_MM, useScreenScale } from '../../parts/screenScale.ts'
import { TextField } from '../../parts/TextField.tsx'
import { AddTip } from './AddTip.tsx'
import css from './Drawer.module.css'
import { ScreenScale } from './ScreenScale.tsx'

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
  const [measuring, setMeasuring] = useState(false)
  const [size, setSize] = useState<'enlarged' | 'true'>('enlarged')
  const { pxPerMm } = useScreenScale()
  const trueSize = size === 'true' && pxPerMm !== null
  const scale = trueSize ? pxPerMm : CSS_PX_PER_MM * SCALE
  const usedBy = useMemo(() => flowersByTip(workshop), [workshop])
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
        <SegmentedControl
          aria-label="Size of the drawings"
          value={trueSize ? 'true' : 'enlarged'}
          onChange={(next) => {
            setSize(next as typeof size)
            if (next === 'true' && pxPerMm === null) setMeasuring(true)
          }}
          data={[
            { value: 'enlarged', label: `${SCALE} ×` },
            { value: 'true', label: 'true size' },
          ]}
        />
        {trueSize ? (
          <Button size="compact-sm" onClick={() => setMeasuring(true)}>
            Measure the screen again
          </Button>
        ) : (
          <span className="quiet">The arrow marks the wide end.</span>
        )}
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
              <TipCard
                key={tip.id}
                tip={tip}
                trueSize={trueSize}
                pxPerMm={scale}
                usedBy={usedBy.get(tip.id) ?? []}
              />
            ))}
          </ul>
        </section>
      ))}
      <AddTip opened={adding} close={() => setAdding(false)} />
      <ScreenScale
        key={String(measuring)}
        opened={measuring}
        close={() => setMeasuring(false)}
        done={() => {
          setMeasuring(false)
          setSize('true')
        }}
      />
    </>
  )
}

/** Names of the flowers that are piped with each tip. */
function flowersByTip(workshop: Workshop): Map<string, string[]> {
  const used = new Map<string, string[]>()
  for (const flower of workshop.flowers)
    for (const id of new Set(flower.layers.map((l) => l.tipId)))
      used.set(id, [...(used.get(id) ?? []), flower.name])
  return used
}

const MOST_NAMED = 2
const MOST_OWNED = 99

function TipCard(props: { tip: OwnedTip; trueSize: boolean; pxPerMm: number; usedBy: readonly string[] }) {
  const { tip, trueSize, pxPerMm, usedBy } = props
  const family = familyOf(tip.opening)
  const words = family.describe(tip.opening)
  const count = (by: number) => editTip(tip.id, (now) => ({ ...now, owned: Math.max(0, now.owned + by) }))
  return (
    <li className={css.tip} data-owned={tip.owned > 0 || tip.base === 'none'}>
      <OpeningDrawing
        opening={tip.opening}
        box={104}
        pxPerMm={pxPerMm}
        grow={trueSize}
        id={`tray-${tip.id}`}
      />
      <strong>{words}</strong>
      <span className="quiet">
        {openingArea(tip.opening).toFixed(1)} mm² · {baseWords[tip.base]}
      </span>
      <span className={css.whereUsed} title={usedBy.join(', ')}>
        {usedBy.length === 0
          ? 'no flower asks for it'
          : `${usedBy.slice(0, MOST_NAMED).join(', ')}${usedBy.length > MOST_NAMED ? ` and ${usedBy.length - MOST_NAMED} more` : ''}`}
      </span>
      {tip.base !== 'none' && (
        <div className={css.counter}>
          <ActionIcon
            variant="outline"
            aria-label={`One ${family.label} ${words} fewer`}
            disabled={tip.owned === 0}
            onClick={() => count(-1)}
          >
            <IconMinus size={16} />
          </ActionIcon>
          <span className="figure">{tip.owned === 0 ? 'none' : tip.owned}</span>
          <ActionIcon
            variant="outline"
            aria-label={`One ${family.label} ${words} more`}
            disabled={tip.owned >= MOST_OWNED}
            onClick={() => count(1)}
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
          onChange={(stamp) => editTip(tip.id, (now) => ({ ...now, stamp }))}
        />
      )}
      {tip.source === 'own' && (
        <Button
          size="compact-sm"
          onClick={() => void removeWithUndo('tips', tip.id, words, () => removeTip(tip.id))}
        >
          Delete
        </Button>
      )}
    </li>
  )
}
