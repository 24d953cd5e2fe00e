import { Tabs } from '@mantine/core'
import { lazy, Suspense } from 'react'
import { useSearchParams } from 'react-router'
import { roleGrams } from '#core/flowers/measure'
import type { Flower } from '#core/model/flower'
import type { Workshop } from '#core/model/workshop'
import type { Picture } from '../../workers/flowers.worker.ts'
import { LayerList } from './LayerList.tsx'
import css from './Studio.module.css'
import type { FlowerDraft } from './useFlowerDraft.ts'

// what an own flower is changed with, and the other parts, come when they are looked at
const LayerChanges = lazy(async () => ({ default: (await import('./LayerChanges.tsx')).LayerChanges }))
const AboutFlower = lazy(async () => ({ default: (await import('./AboutFlower.tsx')).AboutFlower }))
const RoleList = lazy(async () => ({ default: (await import('./RoleList.tsx')).RoleList }))
const LayerTable = lazy(async () => ({ default: (await import('./LayerTable.tsx')).LayerTable }))

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
  const list = {
    ...{ flower: draft.flower, workshop, picture, selected, select, muted, mute },
    density: icing.density,
  }
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
        {editable ? (
          <Suspense fallback={<LayerList {...list} />}>
            <LayerChanges draft={draft} {...list} />
          </Suspense>
        ) : (
          <LayerList {...list} />
        )}
      </Tabs.Panel>
      <Tabs.Panel value="colours">
        <div className={css.stack}>
          <Suspense>
            {editable && <AboutFlower draft={draft} />}
            {picture && <RoleList draft={draft} grams={roleGrams(heard, picture.measure, icing.density)} />}
          </Suspense>
        </div>
      </Tabs.Panel>
      <Tabs.Panel value="words">
        <Suspense>
          {picture && (
            <LayerTable flower={heard} picture={picture} workshop={workshop} density={icing.density} />
          )}
        </Suspense>
      </Tabs.Panel>
    </Tabs>
  )
}
