import { freeze } from '#core/bench/freeze'
import type { Frozen } from '#core/model/bench'
import type { LabelMedia } from '#core/model/labels'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { planOrder } from '#core/plan/index'
import { makePrint } from '#core/prints/index'
import type { PrintKind } from '#core/prints/kinds'
import type { Print } from '#core/prints/print'
import { BenchDays } from '#core/timeline/day'
import { codeDrawing } from './code.ts'
import { measure } from './fonts.ts'
import { pdfOf } from './pdf.ts'

/** What somebody wants printed. */
export interface PrintAsk {
  kind: PrintKind
  /** null for what the bakery's settings say. */
  media: LabelMedia | null
  /** Work that has begun, as JSON: its labels stay as its plan was then; null where none has. */
  frozen: string | null
  /** Where a tablet finds the run that codes lead to; null where no address reaches it from another machine. */
  address: string | null
}

/** More pages than anybody cuts apart: a mistake somewhere in the order. */
const MOST_PAGES = 400

/** Lays a print out; what takes its time, but no waiting. */
export function laidOut({ kind, media, frozen, address }: PrintAsk, order: Order, workshop: Workshop): Print {
  const of = frozen === null ? freeze(order, planOrder(order, workshop), workshop) : kept(frozen, workshop)
  return makePrint(kind, {
    frozen: of,
    table: () => new BenchDays([{ order: of.order, plan: of.plan }], of.workshop).answer(null).table,
    measure,
    media: media ?? workshop.settings.labels,
    codeOf: (path) => (address === null ? null : codeDrawing(`${address}${path}`)),
  })
}

/** A run with the bakery's words as they are now: they are not part of a plan. */
function kept(frozen: string, { settings }: Workshop): Frozen {
  const run = JSON.parse(frozen) as Frozen
  const { bakery, boxWords, keepWords, clock } = settings
  return {
    ...run,
    workshop: { ...run.workshop, settings: { ...run.workshop.settings, bakery, boxWords, keepWords, clock } },
  }
}

/** A print as PDF, with what its maker had to say about it. */
export async function printed(
  print: Print,
): Promise<{ bytes: Uint8Array; notes: string[] } | { tooManyPages: number }> {
  if (print.kind === 'pages' && print.pages.length > MOST_PAGES) return { tooManyPages: print.pages.length }
  return { bytes: await pdfOf(print), notes: print.notes }
}
