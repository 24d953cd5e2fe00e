import { formatMinutes } from '../units.ts'
import type { ActivityKind, WaitKind } from './activity.ts'
import type { Stay, TimedTask, Timetable } from './timetable.ts'

/** What somebody does, as a heading over a bar. */
const DOES: Record<ActivityKind, string> = {
  base: 'Make base icing',
  mix: 'Mix',
  fill: 'Fill bags',
  practise: 'Practise',
  spread: 'Spread',
  stack: 'Stack',
  pipe: 'Pipe',
  work: 'Finish with tools',
  lift: 'Place',
  setOn: 'Put on',
  box: 'Box',
  wash: 'Wash up',
}
export const doesWords = (kind: ActivityKind): string => DOES[kind]

const WAITS: Record<WaitKind | 'kept', string> = {
  whip: 'whipping',
  deepen: 'deepening',
  chill: 'chilling',
  freeze: 'freezing',
  firm: 'becoming firm in the cold',
  dry: 'drying',
  crust: 'crusting',
  kept: 'kept',
}
export const stayWords = ({ kind, place }: Pick<Stay, 'kind' | 'place'>): string =>
  kind === 'kept'
    ? place === 'freezer'
      ? 'kept frozen'
      : place === 'fridge'
        ? 'kept cold'
        : 'standing'
    : WAITS[kind]

/** A task in a line: "Pipe Dahlia, on nails, for Brass dahlia cupcakes". */
export const taskWords = ({ kind, what, where }: Pick<TimedTask, 'kind' | 'what' | 'where'>): string =>
  kind === 'wash' ? 'Wash up' : `${DOES[kind]}: ${what}, ${where}`

/**
 * Why a task is not later, as a sentence.
 * @param clock how a minute is written.
 */
export function whyWords(table: Timetable, task: TimedTask, clock: (minute: number) => string): string {
  const { why } = task
  const order = table.orders.find((o) => o.id === task.orderId)
  switch (why.kind) {
    case 'settled':
      return 'You have locked this start.'
    case 'closing':
      return `It ends when you close at ${clock(task.to)}; what follows is done after that.`
    case 'due':
      return `All must be done by ${clock(order?.due ?? task.to)}.`
  }
  const other = table.tasks.find((t) => t.id === why.taskId && t.orderId === why.orderId)
  if (!other) return ''
  const its = `“${taskWords(other)}” at ${clock(other.from)}`
  switch (why.kind) {
    case 'next':
      return why.lag > 0
        ? `It stands for ${formatMinutes(why.lag)} before ${its}.`
        : `It must be done before ${its}.`
    case 'hand':
      return `The same hands are wanted for ${its}.`
    case 'held':
      return `Something that it holds is wanted for ${its}.`
    case 'rest':
      return `The hand rests for ${formatMinutes(why.lag)} before ${its}.`
  }
}
