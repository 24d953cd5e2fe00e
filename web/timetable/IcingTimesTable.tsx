import { Link } from 'react-router'
import { settingOf } from '#core/icings/setting'
import { timesOf } from '#core/icings/times'
import type { IcingKind } from '#core/model/icing'
import { formatMinutes } from '#core/units'
import { Card } from '../parts/Card.tsx'
import { DataTable } from '../parts/DataTable.tsx'

const FIRM = { cold: 'frozen', drying: 'dried', neither: 'chilled' }

/** How long each icing takes to become firm and stays good in a bag; its own where somebody has said so. */
export function IcingTimesTable({ icings }: { icings: readonly IcingKind[] }) {
  const time = (key: keyof ReturnType<typeof timesOf>, name: string) => ({
    key,
    name,
    numeric: true,
    value: (i: IcingKind) => timesOf(i)[key],
    show: (i: IcingKind) => formatMinutes(timesOf(i)[key]),
  })
  return (
    <Card
      title="Icing"
      aside={
        <>
          an icing kind of your own has times of its own: <Link to="/drawer?shelf=icings">in the drawer</Link>
        </>
      }
    >
      <DataTable
        caption="How long it takes, and how long it stays good"
        rows={icings}
        rowKey={(i) => i.id}
        columns={[
          { key: 'name', name: 'Icing kind', value: (i) => i.name },
          { key: 'firm', name: 'Flowers are', value: (i) => FIRM[settingOf(i)] },
          time('smallMinutes', 'small ones'),
          time('largeMinutes', 'large ones'),
          time('coatMinutes', 'a coat sets'),
          time('bagMinutes', 'good in a bag'),
          time('outMinutes', 'out of the cold'),
        ]}
      />
    </Card>
  )
}
