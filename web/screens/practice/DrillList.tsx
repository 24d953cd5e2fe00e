import { Button, Select } from '@mantine/core'
import { NavLink, useNavigate } from 'react-router'
import type { PracticeMark } from '#core/model/practiceTry'
import type { Workshop } from '#core/model/workshop'
import { layerDrills } from '#core/practice/drillFor'
import { drillNames, KINDS } from '#core/practice/drills'
import { Card } from '../../parts/Card.tsx'
import type { BeforeOrder } from './beforeOrder.ts'
import css from './Practice.module.css'

/** What is best practised before the order, and every drill with its last marks. */
export function DrillList(props: {
  base: string
  before: BeforeOrder | null
  current: string
  workshop: Workshop
  tries: readonly PracticeMark[]
}) {
  const { base, before, current, workshop, tries } = props
  const navigate = useNavigate()
  const last = (key: string) => {
    const marks = tries.findLast((t) => t.drill === key)?.marks
    return marks === undefined ? 'new' : String(Math.round(marks))
  }
  const layers = layerDrills(workshop.flowers)
    .filter(({ key }) => !before || before.layers.has(key))
    .map(({ key, label }) => ({ value: key, label }))
  const settled = before?.settled ?? []
  return (
    <div className={css.list}>
      {before && before.suggested.length > 0 && (
        <Card title={`Before this order: ${before.suggested.reduce((sum, d) => sum + d.minutes, 0)} min`}>
          <ul className={css.before}>
            {before.suggested.map((d) => (
              <li key={d.drill}>
                <NavLink to={`${base}/${d.drill}`} replace>
                  <strong>{d.label}</strong>
                  <b>{last(d.drill)}</b>
                  <span className={css.said}>
                    {d.minutes} min, for {d.sake}
                  </span>
                </NavLink>
              </li>
            ))}
          </ul>
          <Button fullWidth size="md" onClick={before.settle}>
            {settled.length > 0 ? 'Not in the timeline' : 'Put it in the timeline'}
          </Button>
          {settled.length > 0 && (
            <p className="quiet">
              In the timeline: {settled.map((d) => `${d.label.toLowerCase()}, ${d.minutes} min`).join('; ')}.
            </p>
          )}
        </Card>
      )}
      <Card title={before ? 'Other drills' : 'Drills'} aside="last marks">
        <ul className={css.drills}>
          {drillNames.map((name) => (
            <li key={name}>
              <NavLink to={`${base}/${name}`} replace>
                <span>{KINDS[name].label}</span>
                <b>{last(name)}</b>
              </NavLink>
            </li>
          ))}
        </ul>
        <Select
          label={before ? 'A stroke of this order’s flowers' : 'A stroke of a flower'}
          placeholder="Choose one"
          searchable
          limit={80}
          value={layers.some((l) => l.value === current) ? current : null}
          data={layers}
          onChange={(key) => key && navigate(`${base}/${key}`, { replace: true })}
        />
      </Card>
    </div>
  )
}
