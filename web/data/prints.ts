import useSWR from 'swr'
import { PRINT_NOTES } from '#contract/prints'
import type { LabelMedia } from '#core/model/labels'
import { labelKinds, type PrintKind } from '#core/prints/kinds'
import { answerOf } from './api.ts'

/** A print as the server made it. */
export interface Printed {
  pdf: ArrayBuffer
  /** What to know about it. */
  notes: string[]
}

/** Where a print is found. */
export function printPath(orderId: string, kind: PrintKind, media: LabelMedia): string {
  const size = labelKinds.includes(kind)
    ? `?${new URLSearchParams({ widthMm: String(media.widthMm), heightMm: String(media.heightMm), on: media.on })}`
    : ''
  return `/orders/${orderId}/prints/${kind}.pdf${size}`
}

/** @param stamp of the order as it is stored: another one is another print; null while it is not stored. */
export function usePrint(path: string, stamp: unknown) {
  return useSWR<Printed, Error>(stamp === null ? null : ['print', path, stamp], async () => {
    const answer = await answerOf(path)
    const notes = JSON.parse(decodeURIComponent(answer.headers.get(PRINT_NOTES) ?? '%5B%5D')) as string[]
    return { pdf: await answer.arrayBuffer(), notes }
  })
}
