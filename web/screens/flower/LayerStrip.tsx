import { useMemo } from 'react'
import type { ViewShape } from '#core/flowers/strokeShapes'
import type { Flower } from '#core/model/flower'
import { strokesOf } from '#core/model/placeFaults'
import { counted } from '#core/units'
import { FlowerPicture } from '../../drawings/FlowerPicture.tsx'
import css from './Studio.module.css'

/** The flower as it grows: one drawing a layer, with all layers before it ghosted beneath. */
export function LayerStrip(props: {
  flower: Flower
  shapes: readonly ViewShape[]
  selected: string | null
  select: (layerId: string) => void
}) {
  const { flower, shapes } = props
  const colours = useMemo(() => Object.fromEntries(flower.roles.map((r) => [r.id, r.hex])), [flower])
  const steps = useMemo(
    () =>
      flower.layers.map((layer, i) => ({
        layer,
        only: new Set([layer.id]),
        hidden: new Set(flower.layers.slice(i + 1).map((l) => l.id)),
      })),
    [flower],
  )
  return (
    <div className={css.strip}>
      {steps.map(({ layer, only, hidden }) => (
        <button
          type="button"
          key={layer.id}
          className={css.step}
          aria-pressed={props.selected === layer.id}
          onClick={() => props.select(layer.id)}
        >
          <span className={css.stepPicture}>
            <FlowerPicture
              shapes={shapes}
              colours={colours}
              layers={only}
              hidden={hidden}
              size={66}
              label={`After ${layer.name}`}
            />
          </span>
          {layer.name}
          <br />
          <span className="quiet">{counted(strokesOf(flower, layer.id), 'stroke')}</span>
        </button>
      ))}
    </div>
  )
}
