import { Tabs } from '@mantine/core'
import { useSearchParams } from 'react-router'
import { reloadWorkshop, useWorkshop } from '../../data/workshop.ts'
import { PageHead } from '../../parts/Card.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import { BagShelf } from './BagShelf.tsx'
import { DyeShelf } from './DyeShelf.tsx'
import { IcingShelf } from './IcingShelf.tsx'
import { Pantry } from './Pantry.tsx'
import { SetOnShelf } from './SetOnShelf.tsx'
import { TipTray } from './TipTray.tsx'

/** What the bakery owns: tips, couplers and bags, icing kinds, dyes, things to put on. */
export function Drawer() {
  const { workshop, error } = useWorkshop()
  const [params, setParams] = useSearchParams()
  if (error && !workshop) return <Failed what="The drawer" error={error} retry={reloadWorkshop} />
  if (!workshop) return <Loading what="the drawer" />
  const owned = workshop.tips.reduce((sum, t) => sum + t.owned, 0)
  return (
    <>
      <PageHead
        title="Drawer"
        line={`${owned} tips · ${workshop.settings.couplersStandard + workshop.settings.couplersLarge} couplers · ${workshop.bags.length} sizes of bag · ${workshop.icings.length} icing kinds · ${workshop.dyes.filter((d) => d.owned).length} dyes`}
      />
      <Tabs
        color="ink"
        value={params.get('shelf') ?? 'tips'}
        onChange={(shelf) => setParams(shelf ? { shelf } : {}, { replace: true })}
        keepMounted={false}
      >
        <Tabs.List mb="md">
          <Tabs.Tab value="tips">Tips</Tabs.Tab>
          <Tabs.Tab value="bags">Bags and couplers</Tabs.Tab>
          <Tabs.Tab value="icings">Icing kinds</Tabs.Tab>
          <Tabs.Tab value="dyes">Dyes</Tabs.Tab>
          <Tabs.Tab value="setOns">To put on</Tabs.Tab>
          <Tabs.Tab value="pantry">Pantry</Tabs.Tab>
        </Tabs.List>
        <Tabs.Panel value="tips">
          <TipTray workshop={workshop} />
        </Tabs.Panel>
        <Tabs.Panel value="bags">
          <BagShelf workshop={workshop} />
        </Tabs.Panel>
        <Tabs.Panel value="icings">
          <IcingShelf workshop={workshop} />
        </Tabs.Panel>
        <Tabs.Panel value="setOns">
          <SetOnShelf workshop={workshop} />
        </Tabs.Panel>
        <Tabs.Panel value="pantry">
          <Pantry workshop={workshop} />
        </Tabs.Panel>
        <Tabs.Panel value="dyes">
          <DyeShelf workshop={workshop} />
        </Tabs.Panel>
      </Tabs>
    </>
  )
}
