import { Tabs } from '@mantine/core'
import { useSearchParams } from 'react-router'
import { roleGrams } from '#core/flowers/measure'
import type { Flower } from '#core/model/flower'
import type { Workshop } from '#core/model/workshop'
import type { Picture } from '../../workers/planner.worker.ts'
import { AboutFlower } from './AboutFlower.tsx'
import { LayerList } from './LayerList.tsx'
import { LayerTable } from './LayerTable.tsx'
import { RoleList } from './RoleList.tsx'
import css from './Studio.module.css'
import type { FlowerDraft } from './useFlowerDraft.ts'

/** What is changed of a flower beside its solid: its layers, its name and colours; and all of it in words. */
export function StudioParts(props: {
  draft: FlowerDraft
  workshop: Workshop
  picture: Picture | undefined
  /** The flower without what is muted. */
  heard: Flower
  selected: string | null
  select: (id: string) => void
  muted: ReadonlySet<string>
  mute: (id: string) => void
}) {
  const { draft, workshop, picture, heard, selected, select, muted, mute } = props
  const { editable } = draft
  const icing = workshop.icings[0]!
  const [params, setParams] = useSearchParams()
  const part = params.get('part') ?? 'layers'
  return (
    <Tabs
      className={css.right}
      color="ink"
      value={part}
      onChange={(to) => setParams(to && to !== 'layers' ? { part: to } : {}, { replace: true })}
      keepMounted={false}
    >
      <Tabs.List>
        <Tabs.Tab value="layers">Layers</Tabs.Tab>
        <Tabs.Tab value="colours">{editable ? 'Name and colours' : 'Colours'}</Tabs.Tab>
        <Tabs.Tab value="words">In words</Tabs.Tab>
      </Tabs.List>
      <Tabs.Panel value="layers">
        <LayerList
          draft={draft}
          workshop={workshop}
          picture={picture}
          density={icing.density}
          selected={selected}
          select={select}
          muted={muted}
          mute={mute}
        />
      </Tabs.Panel>
      <Tabs.Panel value="colours">
        <div className={css.stack}>
          {editable && <AboutFlower draft={draft} />}
          {picture && <RoleList draft={draft} grams={roleGrams(heard, picture.measure, icing.density)} />}
        </div>
      </Tabs.Panel>
      <Tabs.Panel value="words">
        {picture && (
          <LayerTable flower={heard} picture={picture} workshop={workshop} density={icing.density} />
        )}
      </Tabs.Panel>
    </Tabs>
  )
}
