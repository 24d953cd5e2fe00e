import { bagLabels } from './bagLabels.ts'
import { bowlLabels } from './bowlLabels.ts'
import { boxLabels } from './boxLabels.ts'
import { nailGuides, spacingMarks } from './guides.ts'
import { type PrintKind, printWords } from './kinds.ts'
import type { Label } from './label.ts'
import { labelPages } from './labelPages.ts'
import { practiceSheets } from './practiceSheets.ts'
import type { Print } from './print.ts'
import type { PrintOf } from './printOf.ts'
import { pullList } from './pullList.ts'
import { quoteSheet } from './quoteSheet.ts'
import { recipes } from './recipes.ts'
import { runSheet } from './runSheet.ts'
import { templates } from './templates.ts'
import { trayLabels } from './trayLabels.ts'

const labelled =
  (kind: PrintKind, labels: (of: PrintOf) => Label[]) =>
  (of: PrintOf): Print =>
    labelPages(`${printWords[kind].name}: ${of.frozen.order.title}`, labels(of), of)

const prints: Record<PrintKind, (of: PrintOf) => Print> = {
  bagLabels: labelled('bagLabels', bagLabels),
  bowlLabels: labelled('bowlLabels', bowlLabels),
  trayLabels: labelled('trayLabels', trayLabels),
  boxLabels: labelled('boxLabels', boxLabels),
  runSheet,
  pullList,
  recipes,
  practiceSheets,
  nailGuides,
  spacingMarks,
  templates,
  quote: quoteSheet,
}

/** Makes one print of an order. @throws RangeError when a label is larger than a page that it is to be cut from. */
export const makePrint = (kind: PrintKind, of: PrintOf): Print => prints[kind](of)
