import { Button, Menu } from '@mantine/core'
import { useState } from 'react'
import { insertLayer, layerWith } from '#core/flowers/edit'
import { addFloret } from '#core/flowers/florets'
import { layerOnTop } from '#core/flowers/onTop'
import { addStep } from '#core/flowers/tooling'
import type { Flower } from '#core/model/flower'
import { MOST_STEPS, stepKey } from '#core/model/toolStep'
import type { Workshop } from '#core/model/workshop'
import { type StrokeKind, strokes } from '#core/strokes/index'
import { doneTo } from '#core/tools/fits'
import { type ToolKind, tools } from '#core/tools/index'
import { AskedMenu } from '../../parts/AskedMenu.tsx'
import { newId } from '../../parts/newId.ts'
import { tell } from '../../parts/notify.tsx'
import type { Picture } from '../../workers/flowers.worker.ts'
import type { FlowerDraft } from './useFlowerDraft.ts'

/**
 * Adds a stroke on top of what is there, after the open layer, or a whole small flower as a floret. Opens at once: its
 * button has been pressed already.
 */
export function AddMenu(props: Adds) {
  return (
    // on a small screen the flower stays on top and may cover the button
    <AskedMenu pressed staysCovered position="bottom-end" button={<Button>Add</Button>}>
      <Choices {...props} />
    </AskedMenu>
  )
}

interface Adds {
  draft: FlowerDraft
  workshop: Workshop
  picture: Picture | undefined
  selected: string | null
  select: (id: string) => void
}

/** What can be added, by pages; the first again when the menu is opened anew. */
function Choices({ draft, workshop, picture, selected, select }: Adds) {
  const { flower } = draft
  const [page, setPage] = useState<'strokes' | 'florets' | 'tools'>('strokes')
  const worked = layerWith(flower, selected) ?? flower.layers.at(-1)!
  const { opening } = workshop.tips.find((t) => t.id === worked.tipId) ?? {}
  const doable = opening ? doneTo(worked.stroke, opening) : []

  function addLayer(kind: StrokeKind) {
    const id = newId()
    const open = layerWith(flower, selected)
    const after = open ?? flower.layers.at(-1)!
    const below = picture?.layers.slice(0, flower.layers.indexOf(after) + 1) ?? []
    const name = capital(strokes[kind].label)
    const floretId = open?.floretId ?? null
    const layer = layerOnTop(
      workshop.flowers,
      { kind, role: flower.roles[0]!.id, id, name, floretId },
      below,
      picture?.measure.diameterMm ?? 0,
    )
    draft.edit(`add ${id}`, (f) => insertLayer(f, layer, after.id))
    select(id)
  }

  function addTool(kind: ToolKind) {
    const id = newId()
    draft.edit(`tool ${id}`, (f) => addStep(f, worked.id, kind, id))
    select(stepKey(worked, { id }))
  }

  function addFlower(other: Flower) {
    const added = addFloret(flower, other, newId)
    if (!added) {
      tell('The two ask for more than 12 colours. Join some first.')
      return
    }
    draft.edit(`floret ${Date.now()}`, () => added)
    select(added.florets.at(-1)!.id)
  }

  return page === 'tools' ? (
    <>
      <Menu.Label>To “{worked.name}”, without a bag</Menu.Label>
      {doable.map((kind) => (
        <Menu.Item key={kind} onClick={() => addTool(kind)}>
          {capital(tools[kind].label)}
        </Menu.Item>
      ))}
    </>
  ) : page === 'florets' ? (
    workshop.flowers
      .filter((f) => f.form !== 'border' && f.id !== flower.id && f.layers.some((l) => l.floretId === null))
      .map((f) => (
        <Menu.Item key={f.id} onClick={() => addFlower(f)}>
          {f.name}
        </Menu.Item>
      ))
  ) : (
    <>
      <Menu.Item closeMenuOnClick={false} onClick={() => setPage('florets')}>
        A floret: a whole flower…
      </Menu.Item>
      {doable.length > 0 && worked.tools.length < MOST_STEPS && (
        <Menu.Item closeMenuOnClick={false} onClick={() => setPage('tools')}>
          A tool step: brush, point, finger, paint…
        </Menu.Item>
      )}
      <Menu.Divider />
      {(Object.keys(strokes) as StrokeKind[]).map((kind) => (
        <Menu.Item key={kind} onClick={() => addLayer(kind)}>
          {strokes[kind].label}
        </Menu.Item>
      ))}
    </>
  )
}

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)
