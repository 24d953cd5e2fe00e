import { Modal, Select } from '@mantine/core'
import type { Flower } from '#core/model/flower'
import type { PlacedFlower } from '#core/model/order'
import { describeOpening } from '#core/tips/index'
import { standIns } from '#core/tips/standIns'
import { useOrderBase } from '../../../data/orderEditor.tsx'

/** Which tip each layer is piped with; what was chosen by hand can be let go again. */
export function TipChoice(props: {
  opened: boolean
  close: () => void
  flower: Flower
  placed: PlacedFlower
  /** Tips as fitted to the size, layer by layer. */
  fitted: string[]
  /** A layer's tip, or null to let Kanten fit it. */
  onChange: (layerId: string, tipId: string | null) => void
}) {
  const { flower, placed, fitted, onChange } = props
  const { workshop } = useOrderBase()
  return (
    <Modal opened={props.opened} onClose={props.close} title={`Tips for ${flower.name}`} size="lg">
      <p className="quiet">
        Kanten takes the flower’s own tips, or the next size up or down when the flower is made larger or
        smaller. What you choose here stays.
      </p>
      {flower.layers.map((layer, i) => {
        const own = workshop.tips.find((t) => t.id === layer.tipId)
        const chosen = placed.tips[layer.id]
        const options = own ? standIns(own.opening, workshop.tips) : []
        return (
          <Select
            key={layer.id}
            mt="sm"
            label={`${layer.name}${chosen ? ', chosen by you' : ''}`}
            value={chosen ?? ''}
            onChange={(id) => onChange(layer.id, id || null)}
            data={[
              { value: '', label: `As fitted: ${tipWords(fitted[i] ?? layer.tipId)}` },
              ...options.map((t) => ({
                value: t.id,
                label: `${describeOpening(t.opening)}${t.owned > 0 || t.base === 'none' ? '' : ' (not in the drawer)'}`,
              })),
            ]}
          />
        )
      })}
    </Modal>
  )

  function tipWords(id: string): string {
    const tip = workshop.tips.find((t) => t.id === id)
    return tip ? describeOpening(tip.opening) : id
  }
}
