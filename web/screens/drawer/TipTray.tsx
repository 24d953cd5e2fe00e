import { Button, Group, Menu, SegmentedControl, TextInput } from '@mantine/core'
import { useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import { tipSheetPages } from '#core/guides/tipSheet'
import type { Flower } from '#core/model/flower'
import type { OwnedTip } from '#core/model/tip'
import type { Workshop } from '#core/model/workshop'
import { familyOf, type TipFamilyName, tipFamilies } from '#core/tips/index'
import { Term } from '../../glossary/Term.tsx'
import { Beside } from '../../parts/Beside.tsx'
import { printPages, savePages } from '../../parts/printPages.ts'
import { CSS_PX_PER_MM, useScreenScale } from '../../parts/screenScale.ts'
import { AddTip } from './AddTip.tsx'
import { ScreenScale } from './ScreenScale.tsx'
import { TipPanel } from './TipPanel.tsx'
import { TipTile } from './TipTile.tsx'
import css from './TipTray.module.css'

/** One scale for the whole tray: a little over true size, at which the largest slot still lies in a tile. */
const SCALE = 1.25

const order = Object.keys(tipFamilies) as TipFamilyName[]

/** Every tip, owned first, all openings to one scale; the opened one beside them. The address says family and tip. */
export function TipTray({ workshop }: { workshop: Workshop }) {
  const [search, setSearch] = useState('')
  const [params, setParams] = useSearchParams()
  const [adding, setAdding] = useState(false)
  const [measuring, setMeasuring] = useState(false)
  const [size, setSize] = useState<'enlarged' | 'true'>('enlarged')
  const { pxPerMm } = useScreenScale()
  const trueSize = size === 'true' && pxPerMm !== null
  const scale = trueSize ? pxPerMm : CSS_PX_PER_MM * SCALE
  const usedBy = useMemo(() => flowersByTip(workshop), [workshop])
  const family = params.get('family')
  const wanted = search.trim().toLowerCase()
  const narrowed = wanted !== '' || family !== null
  const tips = order
    .flatMap((name) => workshop.tips.filter((t) => t.opening.family === name))
    .filter((t) => (family === null || t.opening.family === family) && wordsOf(t).includes(wanted))
  const groups = [
    ['Owned', tips.filter((t) => t.owned > 0 || t.base === 'none')],
    ['Not owned', tips.filter((t) => t.owned === 0 && t.base !== 'none')],
  ] as const
  const opened = tips.find((t) => t.id === params.get('tip')) ?? groups[0][1][0] ?? groups[1][1][0]
  const at = (changes: Record<string, string | null>) =>
    setParams(
      (now) => {
        for (const [key, value] of Object.entries(changes))
          if (value === null) now.delete(key)
          else now.set(key, value)
        return now
      },
      { replace: true },
    )
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
          <span className="quiet">
            The arrow marks the <Term id="wideEnd">wide end</Term>.
          </span>
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
      <nav className={css.families} aria-label="Families of openings">
        {[null, ...order].map((name) => (
          <button
            key={name ?? 'all'}
            type="button"
            className={css.family}
            aria-pressed={family === name}
            onClick={() => at({ family: name, tip: null })}
          >
            {name === null ? 'all' : tipFamilies[name].label}
          </button>
        ))}
      </nav>
      <Beside
        label="The opened tip"
        list={
          <>
            {tips.length === 0 && (
              <p className="quiet">No tip fits. Try a size in millimetres, or a stamp.</p>
            )}
            {groups.map(
              ([name, members]) =>
                members.length > 0 && (
                  <details key={name} className={css.group} open={name === 'Owned' || narrowed}>
                    <summary>
                      {name} <span className="quiet">{members.length}</span>
                    </summary>
                    <div className={css.tiles}>
                      {members.map((tip) => (
                        <TipTile
                          key={tip.id}
                          tip={tip}
                          pxPerMm={scale}
                          opened={tip.id === opened?.id}
                          open={() => at({ tip: tip.id })}
                        />
                      ))}
                    </div>
                  </details>
                ),
            )}
          </>
        }
        opened={
          opened ? (
            <TipPanel key={opened.id} tip={opened} usedBy={usedBy.get(opened.id) ?? []} />
          ) : (
            <p className="quiet">Nothing to open.</p>
          )
        }
      />
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

const wordsOf = ({ opening, stamp }: OwnedTip) =>
  `${familyOf(opening).label} ${familyOf(opening).describe(opening)} ${stamp}`.toLowerCase()

/** The flowers that are piped with each tip. */
function flowersByTip(workshop: Workshop): Map<string, Flower[]> {
  const used = new Map<string, Flower[]>()
  for (const flower of workshop.flowers)
    for (const id of new Set(flower.layers.map((l) => l.tipId)))
      used.set(id, [...(used.get(id) ?? []), flower])
  return used
}
