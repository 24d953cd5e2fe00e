import { Router } from 'express'
import { PRINT_NOTES, printEndpoints } from '#contract/prints'
import { type PrintKind, printKinds } from '#core/prints/kinds'
import type { AppContext } from '../appContext.ts'
import { ProblemError } from '../http/problems.ts'
import { inTime, route } from '../http/route.ts'
import { reaches } from '../prints/code.ts'
import { currentWorkshop } from '../workshop/current.ts'
import { findText } from './orderRows.ts'
import { fileName } from './orders.ts'

/** Everything that is printed, as PDF. */
export function printRoutes({ orm, plans }: AppContext): Router {
  const router = Router()
  route(
    router,
    orm,
    printEndpoints.print,
    async ({ em, param, query, req, res }) => {
      const kind = param('kind')
      if (!isPrint(kind))
        throw new ProblemError(404, 'not-found', 'No such print', `Prints are: ${printKinds.join(', ')}.`)
      const { title, version: _, ...task } = await inTime(findText(em, param('id')))
      const { shared, workshop } = await inTime(currentWorkshop(em))
      const [run] = await inTime(
        em.execute<{ id: string; frozen: string }[]>(
          'select id, frozen::text as frozen from runs where order_id = ?',
          [param('id')],
        ),
      )
      const host = req.get('host') ?? 'localhost'
      const { bytes, notes } = await plans.print({
        ...{ ...task, workshop: shared },
        print: {
          kind,
          media: { ...workshop.settings.labels, ...query },
          // a quote is of what the customer wants now
          frozen: run && kind !== 'quote' ? run.frozen : null,
          address: run && reaches(host) ? `${req.protocol}://${host}/bench/${run.id}` : null,
        },
      })
      res
        .setHeader(PRINT_NOTES, encodeURIComponent(JSON.stringify(notes)))
        .setHeader('Content-Disposition', `inline; filename="${fileName(title)}-${kind}.pdf"`)
        .type('application/pdf')
        .end(Buffer.from(bytes))
      return undefined
    },
    { transaction: false, deadlineMs: null },
  )
  return router
}

const isPrint = (name: string): name is PrintKind => (printKinds as readonly string[]).includes(name)
