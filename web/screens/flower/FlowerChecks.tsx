import { Button } from '@mantine/core'
import type { FlowerCheck, FlowerRemedy } from '#core/flowers/checks'
import { changeLayer } from '#core/flowers/edit'
import { Card } from '../../parts/Card.tsx'
import { FlagMark } from '../../parts/FlagMark.tsx'
import css from './Studio.module.css'
import type { FlowerDraft } from './useFlowerDraft.ts'

/** What the geometry says of this flower as it stands; follows every slider. */
export function FlowerChecks(props: {
  checks: readonly FlowerCheck[]
  draft: FlowerDraft
  select: (layerId: string) => void
}) {
  const { checks, draft, select } = props
  if (checks.length === 0)
    return (
      <Card title="Does it fit together?">
        <p className="quiet">
          Yes: heights, rows, foot and nail agree, every row finds room, nothing hangs in the air, no ground
          shows through, and no stroke strains the hand.
        </p>
      </Card>
    )
  return (
    <Card title="Does it fit together?">
      <ul className={css.checkList}>
        {checks.map((check) => (
          <li key={`${check.code} ${check.layerId}`}>
            <p>
              {check.severity === 'decide' && <FlagMark />} {check.message}
            </p>
            <div className={css.buttons}>
              {check.remedy && draft.editable && (
                <Button size="compact-sm" onClick={() => take(check.remedy!)}>
                  {check.remedy.label}
                </Button>
              )}
              {check.layerId && (
                <Button size="compact-sm" onClick={() => select(check.layerId!)}>
                  Show the layer
                </Button>
              )}
            </div>
          </li>
        ))}
      </ul>
    </Card>
  )

  function take(remedy: FlowerRemedy) {
    draft.edit(`remedy ${Date.now()}`, (flower) => ({
      ...(remedy.layer ? changeLayer(flower, remedy.layer.id, remedy.layer.part) : flower),
      ...remedy.flower,
    }))
  }
}
