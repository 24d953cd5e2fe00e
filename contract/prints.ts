import { z } from 'zod'
import { labelMediaSchema } from '#core/model/labels'
import { endpoint } from './endpoint.ts'

const { widthMm, heightMm, on } = labelMediaSchema.shape
const inMillimetres = (schema: typeof widthMm) =>
  z.coerce.number('Use a number of millimetres.').pipe(schema).optional()

/** The answer's header with what to know about a print, as a JSON list of texts in percent encoding. */
export const PRINT_NOTES = 'Print-Notes'

export const printEndpoints = {
  print: endpoint({
    method: 'get',
    path: '/orders/:id/prints/:kind.pdf',
    summary:
      'Something to print as PDF, true to size: bagLabels, bowlLabels, trayLabels, boxLabels, runSheet, pullList, recipes, nailGuides, spacingMarks, templates, quote. Where work has begun, as it was then; only the quote is of the order as it is',
    query: z.object({
      /** A label's own size and what it is printed on; what is left out is as the bakery's settings say. */
      widthMm: inMillimetres(widthMm),
      heightMm: inMillimetres(heightMm),
      on: on.optional(),
    }),
  }),
}
