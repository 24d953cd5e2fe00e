import { ActionIcon, Button, Select, Tooltip } from '@mantine/core'
import { IconCopy, IconEraser, IconFlipVertical, IconPin, IconPinnedOff } from '@tabler/icons-react'
import { change, duplicate, mirror, rubOut } from '#core/placing/byHand'
import { newId } from '../../../parts/newId.ts'
import css from './Place.module.css'
import { SiteFields } from './SiteFields.tsx'
import type { Placing } from './usePlacing.ts'

/** What is chosen, and everything that can be done with it. */
export function SitePanel({ placing }: { placing: Placing }) {
  const { chosen, layout, hand, kinds } = placing
  const sites = layout.sites.filter((s) => chosen.has(s.id))
  const [one] = sites
  if (!one)
    return (
      <div className={css.site}>
        <p className="quiet">
          Press a flower to choose it, drag it to move it; what is in its way gives way. Shift chooses more, a
          box drawn on the coat chooses all in it.
        </p>
      </div>
    )
  const ids = new Set(chosen)
  const pinned = sites.every((s) => s.pinned)
  const grouped = sites.length > 1 && one.groupId !== null && sites.every((s) => s.groupId === one.groupId)
  const buttons = [
    {
      name: pinned ? 'Let go' : 'Pin: stays when the rest is placed anew',
      icon: pinned ? IconPinnedOff : IconPin,
      act: () =>
        placing.change(pinned ? 'let go' : 'pin', (now) => change(now.layout, ids, { pinned: !pinned })),
    },
    {
      name: 'Copy beside it',
      icon: IconCopy,
      act: () => {
        const made = duplicate(hand, ids, newId)
        placing.change('copy', () => made.layout)
        placing.choose(made.ids)
      },
    },
    {
      name: 'Mirror: to the other side',
      icon: IconFlipVertical,
      act: () => placing.change('mirror', (now) => mirror(now, ids)),
    },
    {
      name: 'Rub out',
      icon: IconEraser,
      act: () => placing.change('rub out', (now) => rubOut(now.layout, ids)),
    },
  ]
  return (
    <div className={css.site}>
      <div className={css.siteHead}>
        <Select
          aria-label={
            sites.length === 1 ? 'Which flower stands there' : `${sites.length} chosen: which flower`
          }
          className={css.which}
          value={one.placedId}
          data={kinds.map((k) => ({ value: k.placedId, label: nameIn(k, kinds) }))}
          onChange={(placedId) =>
            placedId && placing.change('swap', (now) => change(now.layout, ids, { placedId }))
          }
        />
        {buttons.map(({ name, icon: Icon, act }) => (
          <Tooltip key={name} label={name}>
            <ActionIcon variant="outline" size={40} aria-label={name} onClick={act}>
              <Icon size={20} stroke={1.6} />
            </ActionIcon>
          </Tooltip>
        ))}
        {sites.length > 1 && (
          <Button
            onClick={() =>
              placing.change(grouped ? 'ungroup' : 'group', (now) =>
                change(now.layout, ids, { groupId: grouped ? null : newId() }),
              )
            }
          >
            {grouped ? 'Ungroup' : 'Group'}
          </Button>
        )}
      </div>
      <SiteFields placing={placing} one={one} ids={ids} />
    </div>
  )
}

/** A flower's name, and its size where there are several of it. */
function nameIn(kind: Placing['kinds'][number], all: Placing['kinds']): string {
  const twins = all.filter((k) => k.name === kind.name)
  return twins.length > 1 ? `${kind.name}, ${Math.round(2 * kind.kind.r)} mm` : kind.name
}
