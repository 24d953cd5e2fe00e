import { Button, Popover, SegmentedControl, Select, Switch } from '@mantine/core'
import { useSearchParams } from 'react-router'
import { stiffnesses } from '#core/common'
import type { Workshop } from '#core/model/workshop'
import type { Drill } from '#core/practice/drill'
import { describeOpening } from '#core/tips/index'
import type { OtherHand } from '../../practice/piping.ts'
import type { Prefs } from '../../practice/prefs.ts'
import { PenRange } from './PenRange.tsx'
import css from './Practice.module.css'

const OTHERS: { value: OtherHand; label: string }[] = [
  { value: 'nothing', label: 'Nothing' },
  { value: 'squeeze', label: 'Squeezes' },
  { value: 'height', label: 'Lifts' },
]

/** With what, and how, a drill is piped: tip, icing, the other hand, and who. */
export function Setup(props: {
  drill: Drill
  /** A flower's own stroke, whose tip and icing are the recipe's. */
  isOwn: boolean
  workshop: Workshop
  prefs: Prefs
  set: (part: Partial<Prefs>) => void
}) {
  const { drill, isOwn, workshop, prefs, set } = props
  const [search, setSearch] = useSearchParams()
  const change = (key: string, value: string | null) => {
    const next = new URLSearchParams(search)
    if (value) next.set(key, value)
    else next.delete(key)
    next.delete('try')
    setSearch(next, { replace: true })
  }
  const tips = workshop.tips.filter((t) => t.owned > 0 && t.opening.family === drill.opening.family)
  const people = workshop.settings.day.hands.map((h) => h.name)
  const others = drill.nail ? [...OTHERS, { value: 'nail' as const, label: 'Turns the nail' }] : OTHERS
  return (
    <Popover position="bottom-end" width={380} withinPortal>
      <Popover.Target>
        <Button>Tip, icing and hands</Button>
      </Popover.Target>
      <Popover.Dropdown className={css.setup}>
        {!isOwn && (
          <>
            <Select
              label="Tip"
              placeholder={`the drill’s: ${describeOpening(drill.opening)}`}
              clearable
              value={search.get('tip')}
              data={tips.map((t) => ({ value: t.id, label: describeOpening(t.opening) }))}
              onChange={(v) => change('tip', v)}
              comboboxProps={{ withinPortal: false }}
            />
            <Select
              label="Icing"
              value={drill.stiffness}
              data={[...stiffnesses]}
              allowDeselect={false}
              onChange={(v) => change('icing', v)}
              comboboxProps={{ withinPortal: false }}
            />
          </>
        )}
        <div>
          <p className="fieldLabel">The other hand, the wheel or the arrow keys</p>
          <SegmentedControl
            fullWidth
            aria-label="What the other hand does"
            value={others.some((o) => o.value === prefs.other) ? prefs.other : 'nothing'}
            onChange={(v) => set({ other: v as OtherHand })}
            data={others}
          />
        </div>
        <Switch
          label="Gentle: icing follows the squeeze less sharply than it does"
          checked={prefs.gentle}
          onChange={(e) => set({ gentle: e.currentTarget.checked })}
        />
        <PenRange pen={prefs.range} set={set} />
        <Select
          label="Who practises"
          placeholder="nobody named"
          clearable
          value={prefs.person || null}
          data={people}
          onChange={(v) => set({ person: v ?? '' })}
          comboboxProps={{ withinPortal: false }}
        />
      </Popover.Dropdown>
    </Popover>
  )
}
