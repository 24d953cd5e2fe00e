import { useMemo } from 'react'
import useSWR from 'swr'
import type { Fitting } from '#core/flowers/resolve'
import type { Flower } from '#core/model/flower'
import type { Workshop } from '#core/model/workshop'
import type { Fitter, Picture } from './flowers.worker.ts'
import { hireKnowing } from './hire.ts'
import { useLatest } from './useLatest.ts'

const fitter = hireKnowing<Fitter>('flowers')

/** A flower that is being changed, fitted and measured in the worker as it changes; the last answer meanwhile. */
export function useDraftPicture(flower: Flower | undefined, workshop: Workshop | undefined) {
  const ask = useMemo(
    () =>
      flower && workshop ? () => fitter(workshop).worker.studied(flower, { sizeMm: null, tips: {} }) : null,
    [flower, workshop],
  )
  const { answer: picture, error } = useLatest<Picture>(ask)
  return { picture, error }
}

/** How wide one floret of a flower is by itself, mm, as the flower changes; undefined until it is known. */
export function useFloretWidth(flower: Flower, id: string, workshop: Workshop): number | undefined {
  const ask = useMemo(() => () => fitter(workshop).worker.floretWidth(flower, id), [flower, id, workshop])
  return useLatest<number>(ask).answer
}

/** The layers of a floret made so wide. */
export const resizedFloret = (flower: Flower, id: string, wideMm: number, workshop: Workshop) =>
  fitter(workshop).worker.resizedFloret(flower, id, wideMm)

/** A flower from above, from the worker; kept as long as flower, fitting and workshop stay the same. */
export function usePicture(
  flower: Flower | undefined,
  fitting: Fitting,
  workshop: Workshop | undefined,
): { picture: Picture | undefined; error: Error | undefined } {
  const hired = workshop && fitter(workshop)
  const { data, error } = useSWR<Picture, Error>(
    flower && hired ? ['picture', drawnKey(flower, fitting), hired.generation] : null,
    () => hired!.worker.picture(flower!, fitting),
    { keepPreviousData: true, revalidateOnFocus: false, revalidateIfStale: false },
  )
  return { picture: data, error }
}

/** What a picture hangs on: an order may leave layers of a recipe out, or load them with two colours. */
const drawnKey = ({ id, layers }: Flower, { sizeMm, tips }: Fitting) => [
  id,
  layers.map((l) => [l.id, l.load]),
  sizeMm,
  tips,
]

/** Several flowers from above at once, in the order given; undefined until all are there. */
export function usePictures(
  wanted: readonly (Fitting & { flower: Flower })[],
  workshop: Workshop | undefined,
): Picture[] | undefined {
  const hired = workshop && fitter(workshop)
  const key = wanted.map((w) => drawnKey(w.flower, w))
  const { data } = useSWR<Picture[], Error>(
    hired ? ['pictures', key, hired.generation] : null,
    () => Promise.all(wanted.map((w) => hired!.worker.picture(w.flower, { sizeMm: w.sizeMm, tips: w.tips }))),
    { keepPreviousData: true, revalidateOnFocus: false, revalidateIfStale: false },
  )
  // while a flower is added, the last answer is one short
  return data?.length === wanted.length ? data : undefined
}
