import { Button } from '@mantine/core'
import { icingConsequences } from '#core/icings/consequences'
import type { IcingKind } from '#core/model/icing'
import { Card } from '../../../parts/Card.tsx'
import css from './Brief.module.css'

/** What going from one icing kind to another changes at the bench, said once, when it is done. */
export function IcingChange({ from, to, close }: { from: IcingKind; to: IcingKind; close: () => void }) {
  const said = icingConsequences(from, to)
  if (said.length === 0) return null
  return (
    <Card
      title={`${to.name} instead of ${from.name.toLowerCase()}`}
      actions={
        <Button size="compact-sm" onClick={close}>
          Understood
        </Button>
      }
    >
      <ul className={css.changes}>
        {said.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
    </Card>
  )
}
