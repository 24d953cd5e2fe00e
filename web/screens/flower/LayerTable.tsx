import { stepWords } from '#core/flowers/tooling'
import { loadDefinition } from '#core/loads/index'
import type { Flower } from '#core/model/flower'
import type { Workshop } from '#core/model/workshop'
import { strokeDefinition } from '#core/strokes/index'
import { describeOpening } from '#core/tips/index'
import { toolDefinition } from '#core/tools/index'
import { Card } from '../../parts/Card.tsx'
import { DataTable } from '../../parts/DataTable.tsx'
import { useWeight } from '../../parts/weight.tsx'
import type { Picture } from '../../workers/flowers.worker.ts'

/** The layers in figures, with the bench words of each stroke. */
export function LayerTable(props: { flower: Flower; picture: Picture; workshop: Workshop; density: number }) {
  const { flower, picture, workshop, density } = props
  const weight = useWeight()
  const mirrored = workshop.settings.hand === 'left'
  const rows = flower.layers.flatMap((layer) => {
    const measure = picture.measure.layers.find((m) => m.layerId === layer.id)
    // a layer just added is measured a moment later
    if (!measure) return []
    const definition = strokeDefinition(layer.stroke.kind)
    const tip = workshop.tips.find((t) => t.id === layer.tipId)
    const { hold, clock, pressure, stop, goesWrong } = definition.words
    const at = clock === null ? '' : ` Back of the bag at ${mirrored ? 12 - (clock % 12) : clock} o’clock.`
    const row = {
      id: layer.id,
      name: layer.name,
      stroke: definition.label,
      count: measure.strokes,
      tip: tip ? describeOpening(tip.opening) : layer.tipId,
      stiffness: layer.stiffness,
      load:
        measure.shares.length === 1
          ? roleName(measure.shares[0]!.role)
          : `${loadDefinition(layer.load.kind).label}: ${measure.shares.map((s) => `${roleName(s.role)} ${Math.round(100 * s.share)} %`).join(', ')}`,
      grams: (measure.volumeMm3 / 1000) * density,
      words: [
        `${hold}${at} ${pressure} ${stop}`,
        ...layer.tools.map((s) => `${stepWords(s)}. ${toolDefinition(s.work.kind).words.how}`),
      ].join(' Then: '),
      goesWrong: [...goesWrong, ...layer.tools.map((s) => toolDefinition(s.work.kind).words.goesWrong)].join(
        ' ',
      ),
    }
    return [row]
  })
  function roleName(id: string): string {
    return flower.roles.find((r) => r.id === id)?.name ?? id
  }
  return (
    <Card>
      <DataTable
        caption="Layers"
        rows={rows}
        rowKey={(r) => r.id}
        columns={[
          { key: 'name', name: 'Layer', value: (r) => r.name, show: (r) => <strong>{r.name}</strong> },
          { key: 'count', name: 'Strokes', value: (r) => r.count, numeric: true },
          { key: 'tip', name: 'Tip', value: (r) => r.tip },
          { key: 'load', name: 'Load', value: (r) => r.load },
          { key: 'stiffness', name: 'Stiffness', value: (r) => r.stiffness },
          { key: 'grams', name: 'Icing', value: (r) => r.grams, show: (r) => weight(r.grams), numeric: true },
          {
            key: 'words',
            name: 'At the bench',
            value: (r) => r.words,
            show: (r) => <span className="quiet">{r.words}</span>,
          },
          {
            key: 'goesWrong',
            name: 'When it goes wrong',
            value: (r) => r.goesWrong,
            show: (r) => <span className="quiet">{r.goesWrong}</span>,
          },
        ]}
      />
    </Card>
  )
}
