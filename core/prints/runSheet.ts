import { aboutOf, titleOf, waitWords } from '../bench/words.ts'
import type { BenchStep } from '../model/bench.ts'
import { counted, formatMinutes } from '../units.ts'
import { type Block, type Cell, type Print, TICK, words } from './print.ts'
import { colourNames, hexesOf, layersWords, momentWords, type PrintOf, weightIn } from './printOf.ts'

/** The work from first to last with a box to tick, day by day, and the bags that it is piped from. */
export function runSheet({ frozen, table }: PrintOf): Print {
  const { order, plan, steps } = frozen
  const days = new Map<string, BenchStep[]>()
  for (const step of steps) {
    const day = step.at?.slice(0, 10) ?? ''
    days.set(day, [...(days.get(day) ?? []), step])
  }
  const blocks: Block[] = [
    {
      kind: 'words',
      text: `For ${momentWords(frozen, order.collectAt)}. ${counted(plan.totals.pieces, 'piece')}, about ${formatMinutes(table()?.handsOnMinutes ?? plan.totals.handsOnMinutes)} of hands in all.`,
    },
  ]
  for (const [day, of] of days) {
    if (day)
      blocks.push({
        kind: 'heading',
        text: momentWords(frozen, `${day}T00:00`).split(',').slice(0, -1).join(','),
      })
    let last: string | null = null
    const rows = of.map((step): Cell[] => {
      const time = step.at ? momentWords(frozen, step.at).split(', ').at(-1)! : ''
      const shown = time === last ? '' : time
      last = time
      const wait = step.wait
        ? `then ${waitWords(step.wait.kind, false)}, ${formatMinutes(step.wait.minutes)}`
        : ''
      return [
        TICK,
        words(shown, { right: true }),
        { kind: 'colours', hexes: hexesOf(frozen, step.colourIds) },
        words(titleOf(step), { strong: true }),
        words(
          [aboutOf(step), gramsWords(step, weightIn(frozen, step.grams ?? 0)), wait]
            .filter(Boolean)
            .join('; '),
        ),
        words(step.kind === 'fill' ? '' : step.bags.join(', '), { right: true }),
        words(step.wanted > 1 ? String(step.wanted) : '', { right: true }),
      ]
    })
    blocks.push({
      kind: 'table',
      head: ['', 'from', '', 'what', 'where and how much', 'bag', 'how many'],
      widths: ['least', 'least', 'least', 'rest', 'rest', 'least', 'least'],
      rows,
    })
  }
  blocks.push({ kind: 'heading', text: 'The bags' })
  blocks.push({
    kind: 'table',
    head: ['bag', '', 'colour', 'for', 'icing', 'filled'],
    widths: ['least', 'least', 'rest', 'rest', 'least', 'least'],
    rows: plan.bags.map((bag) => [
      words(String(bag.number), { strong: true, right: true }),
      {
        kind: 'colours',
        hexes: hexesOf(
          frozen,
          bag.load.map((l) => l.colourId),
        ),
      },
      words(colourNames(frozen, bag).join(' + ')),
      words(layersWords(plan.uses.filter((u) => bag.useIds.includes(u.id))).join('; ')),
      words(`${bag.stiffness}, ${weightIn(frozen, bag.grams)}`),
      words(counted(bag.fillings, 'time')),
    ]),
  })
  return { kind: 'blocks', title: `Run sheet: ${order.title}`, notes: [], blocks }
}

const gramsWords = ({ kind, grams }: BenchStep, weight: string) =>
  grams !== null && (kind === 'base' || kind === 'mix' || kind === 'thin') ? weight : ''
