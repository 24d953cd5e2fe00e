import { Button } from '@mantine/core'
import { pipeable, tipSets } from '#core/catalogue/tipSets'
import { tipSheetPages } from '#core/guides/tipSheet'
import type { Workshop } from '#core/model/workshop'
import { counted } from '#core/units'
import { editTip } from '../../data/workshop.ts'
import { Card } from '../../parts/Card.tsx'
import { printPages } from '../../parts/printPages.ts'
import { CSS_PX_PER_MM } from '../../parts/screenScale.ts'
import { TipTile } from '../drawer/TipTile.tsx'
import tray from '../drawer/TipTray.module.css'
import css from './Start.module.css'

/** Which tips a bakery owns: ticked one by one with the true-size sheet beside them, or by what they can pipe. */
export function FirstTips({ workshop, next }: { workshop: Workshop; next: () => void }) {
  const { tips, flowers } = workshop
  const cut = tips.filter((t) => t.base === 'none').map((t) => t.id)
  const metal = tips.filter((t) => t.base !== 'none')
  const owned = new Set([...cut, ...metal.filter((t) => t.owned > 0).map((t) => t.id)])
  const own = (ids: ReadonlySet<string>) => {
    for (const tip of metal) {
      const wanted = ids.has(tip.id) ? Math.max(1, tip.owned) : 0
      if (wanted !== tip.owned) editTip(tip.id, (now) => ({ ...now, owned: wanted }))
    }
  }
  const sets = [
    ...tipSets(flowers),
    { id: 'all', name: 'Every opening there is', tipIds: metal.map((t) => t.id) },
  ].map((set) => ({ ...set, tipIds: set.tipIds.filter((id) => metal.some((t) => t.id === id)) }))
  return (
    <div className={css.stack}>
      <Card
        title="Which tips do you own?"
        aside={`with these you can pipe ${pipeable(flowers, owned).length} of ${flowers.length} library flowers`}
        actions={
          <>
            <Button onClick={() => printPages(tipSheetPages(tips), 'Openings at true size')}>
              Print the true-size sheet
            </Button>
            <Button variant="filled" onClick={next}>
              Next: a first order
            </Button>
          </>
        }
      >
        <p className="quiet">
          Take a set to begin with, or lay your tips on the printed sheet and press those you have. What is
          missing later finds a stand-in.
        </p>
        <div className={css.sets}>
          {sets.map((set) => (
            <button
              key={set.id}
              type="button"
              className={css.set}
              onClick={() => own(new Set(set.tipIds))}
              aria-pressed={
                set.tipIds.length === owned.size - cut.length && set.tipIds.every((id) => owned.has(id))
              }
            >
              <strong>{set.name}</strong>
              <span className="quiet">
                {counted(set.tipIds.length, 'tip')},{' '}
                {pipeable(flowers, new Set([...cut, ...set.tipIds])).length} flowers
              </span>
            </button>
          ))}
        </div>
      </Card>
      <div className={tray.tiles}>
        {metal.map((tip) => (
          <TipTile
            key={tip.id}
            tip={tip}
            pxPerMm={CSS_PX_PER_MM}
            opened={tip.owned > 0}
            open={() => editTip(tip.id, (now) => ({ ...now, owned: now.owned > 0 ? 0 : 1 }))}
          />
        ))}
      </div>
    </div>
  )
}
