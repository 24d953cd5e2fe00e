import { isGroup, putInFloret } from '#core/flowers/florets'
import type { Layer } from '#core/model/flower'
import { newId } from '../../parts/newId.ts'
import { Choice } from './Figure.tsx'
import type { FlowerDraft } from './useFlowerDraft.ts'

/** Whether a layer is of the flower itself, or of a floret or a group within it. */
export function PartOf({ layer, draft }: { layer: Layer; draft: FlowerDraft }) {
  const { flower } = draft
  return (
    <Choice
      words="part of"
      value={layer.floretId ?? ''}
      data={[
        { value: '', label: 'the flower itself' },
        ...flower.florets.map((f) => ({
          value: f.id,
          label: `${isGroup(f) ? 'group' : 'floret'}: ${f.name}`,
        })),
        { value: NEW, label: 'a floret of its own' },
        { value: GROUP, label: 'a group of its own' },
      ]}
      onChange={(id) => {
        const floretId = id === '' ? null : id === NEW || id === GROUP ? newId() : id
        const as = id === GROUP ? 'group' : 'floret'
        draft.edit(`floret ${layer.id}`, (f) => putInFloret(f, layer.id, floretId, as))
      }}
    />
  )
}

/** Stand for a floret and a group that are not there yet. */
const NEW = 'new'
const GROUP = 'group'
