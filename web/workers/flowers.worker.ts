import * as Comlink from 'comlink'
import { type FlowerCheck, flowerChecks } from '#core/flowers/checks'
import { floretWidth, resizedFloret } from '#core/flowers/florets'
import type { ResolvedLayer } from '#core/flowers/layers'
import type { FlowerMeasure } from '#core/flowers/measure'
import { pileChecks } from '#core/flowers/pileChecks'
import { planView } from '#core/flowers/planView'
import { type Fitting, fitFlower } from '#core/flowers/resolve'
import { type BorderRun, borderRun } from '#core/flowers/run'
import type { ViewShape } from '#core/flowers/strokeShapes'
import type { Flower, Layer } from '#core/model/flower'
import type { Workshop } from '#core/model/workshop'

/** A flower's figures; its height, which takes two piles to tell, only where somebody studies the flower. */
type PictureMeasure = Omit<FlowerMeasure, 'heightMm'> & { heightMm: number | null }

/** A flower fitted and seen from above. */
export interface Picture {
  shapes: ViewShape[]
  measure: PictureMeasure
  /** Layers with their final lengths and tips. */
  layers: ResolvedLayer[]
  /** For a border: how its units stand side by side. */
  run: BorderRun | null
  /** What the geometry says will not work. */
  checks: FlowerCheck[]
}

let drawer: Workshop['tips'] | null = null

const flowers = {
  setWorkshop({ tips }: Pick<Workshop, 'tips'>): void {
    drawer = tips
  },
  picture(flower: Flower, fitting: Fitting): Picture {
    const { layers, measure, factor } = fitFlower(flower, fitting, tips())
    return {
      shapes: planView(layers),
      measure: told(measure, null),
      layers,
      run: borderRun(flower, layers, factor),
      checks: flowerChecks(flower, layers, measure),
    }
  },
  /** How wide one floret of a flower is by itself, mm. */
  floretWidth: (flower: Flower, id: string): number => floretWidth(flower, id, tips()),
  /** The layers of a floret made so wide. */
  resizedFloret: (flower: Flower, id: string, wideMm: number): Layer[] =>
    resizedFloret(flower, id, wideMm, tips()),
  /** The same with everything that only piles can tell: for a flower that somebody is looking at closely. */
  studied(flower: Flower, fitting: Fitting): Picture {
    const { layers, measure } = fitFlower(flower, fitting, tips())
    const seen = flowers.picture(flower, fitting)
    return {
      ...seen,
      measure: told(measure, measure.heightMm),
      checks: [...pileChecks(flower, layers), ...seen.checks],
    }
  },
}
export type Fitter = typeof flowers

/** Figures as they are sent: asking for one by name makes no pile for the others. */
function told(
  { layers, volumeMm3, seconds, aimed, diameterMm, alongMm, acrossMm }: FlowerMeasure,
  heightMm: number | null,
): PictureMeasure {
  return { layers, volumeMm3, seconds, aimed, diameterMm, alongMm, acrossMm, heightMm }
}

function tips(): Workshop['tips'] {
  if (!drawer) throw new Error('The workshop has not been sent to the flowers yet.')
  return drawer
}

Comlink.expose(flowers)
