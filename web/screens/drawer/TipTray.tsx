import { useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import type { Flower } from '#core/model/flower'
import type { OwnedTip } from '#core/model/tip'
import type { Workshop } from '#core/model/workshop'
import { familyOf, type TipFamilyName, tipFamilies } from '#core/tips/index'
import { Beside } from '../../parts/Beside.tsx'
import { AT_ONCE } from '../../parts/openAtOnce.ts'
import { CSS_PX_PER_MM, useScreenScale } from '../../parts/screenScale.ts'
import { AddTip } from './AddTip.tsx'
import { ScreenScale } from './ScreenScale.tsx'
import { TipPanel } from './TipPanel.tsx'
import { TipTile } from './TipTile.tsx'
import { SCALE, TipTools } from './TipTools.tsx'
import css from './TipTray.module.css'

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
    setParams((now) => {
      for (const [key, value] of Object.entries(changes))
        if (value === null) now.delete(key)
        else now.set(key, value)
      return now
    }, AT_ONCE)
  return (
    <>
      <TipTools
        tips={workshop.tips}
        search={search}
        setSearch={setSearch}
        trueSize={trueSize}
        setSize={(next) => {
          setSize(next)
          if (next === 'true' && pxPerMm === null) setMeasuring(true)
        }}
        measure={() => setMeasuring(true)}
        add={() => setAdding(true)}
      />
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
