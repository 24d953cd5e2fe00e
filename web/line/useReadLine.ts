import { useMemo, useState } from 'react'
import useSWRImmutable from 'swr/immutable'
import type { LineRead } from '#core/line/meant'
import { useWorkshop } from '../data/workshop.ts'
import { localMoment } from '../parts/time.ts'

/** What a line was taken for, as it is typed; what reads it is fetched when somebody first comes to the box. */
export function useReadLine(text: string): { read: LineRead | undefined; wake: () => void } {
  const [awake, setAwake] = useState(false)
  const { workshop } = useWorkshop()
  const { data: reader } = useSWRImmutable(awake ? 'line reader' : null, () => import('./reader.ts'))
  const flowers = workshop?.flowers
  const vocabulary = useMemo(
    () => (reader && flowers ? reader.vocabularyOf(flowers) : null),
    [reader, flowers],
  )
  const read = useMemo(
    () =>
      reader && vocabulary
        ? reader.readLine(text, vocabulary, localMoment(new Date()).slice(0, 16))
        : undefined,
    [reader, vocabulary, text],
  )
  return { read, wake: () => setAwake(true) }
}
