import type { Advice } from '../../model/plan.ts'

/** Advice of one kind, said once: what it is about in a few words, and each of it beneath. */
export interface AdviceGroup {
  /** The same for as long as it is about the same kind of thing. */
  key: string
  severity: Advice['severity']
  /** Of several; the message itself where there is one. */
  says: string
  advice: Advice[]
}

/** What is asked of an order, what is good to know of it, and what somebody has waved off. */
export interface SortedAdvice {
  decide: AdviceGroup[]
  notes: AdviceGroup[]
  waved: Advice[]
}

/** What a piece of advice is known by: it stays waved off when its figures change. */
export const adviceKey = ({ code, about }: Advice): string => `${code} ${about.kind} ${about.id}`

/** What would hurt somebody, or cannot be done at all, is not waved off. */
export const canBeWaved = ({ severity }: Advice): boolean => severity !== 'stop'

/** Several of a kind in one line. */
const several: Record<string, (count: string) => string> = {
  allergen: (n) => `${n} ingredients hold what must not be in it.`,
  'wider-than-piece': (n) => `${n} flowers are wider than the piece they stand on.`,
  'too-many-flowers': (n) => `${n} pieces carry more flowers than they have room for.`,
  'no-coat': (n) => `${n} pieces have no coat under their flowers: the cake will show between petals.`,
  'not-placed': (n) => `${n} flowers have no place on their piece, so none is piped.`,
  'colour-not-chosen': (n) => `${n} parts have no colour of this order yet.`,
  'close-colours': (n) => `${n} colours can hardly be told from others.`,
  'deep-colour': (n) => `${n} colours are deep: mix them the day before and let them deepen.`,
  'tiny-batch': (n) => `${n} bowls feed only a few dots each. Paint them on, or share a colour.`,
  'tip-not-owned': (n) => `${n} tips are not in the drawer.`,
  'tip-on-several-bags': (n) => `${n} tips are washed from bag to bag.`,
  'hand-strain': (n) => `${n} stretches of work are hard on the hand.`,
  'touches-the-lid': (n) => `${n} pieces touch the lid of the box.`,
  'petals-fall': (n) => `${n} flowers cannot stand in this icing.`,
  'cannot-lift': (n) => `${n} flowers cannot be lifted in this icing.`,
  'batch-crusts': (n) => `${n} batches crust before they are finished.`,
  'wider-than-nail': (n) => `${n} flowers are wider than their nail.`,
  'small-and-hard': (n) => `${n} things put on are small and hard.`,
  'made-ahead': (n) => `${n} things put on are made ahead.`,
  'label-unread': (n) => `${n} labels have not been read.`,
  'not-edible': (n) => `${n} things put on are not edible.`,
}

/** Decisions before notes, what is alike in one line, what was waved off aside. */
export function sortAdvice(advice: readonly Advice[], wavedOff: readonly string[]): SortedAdvice {
  const waved = advice.filter((a) => canBeWaved(a) && wavedOff.includes(adviceKey(a)))
  const groups = new Map<string, AdviceGroup>()
  for (const a of advice) {
    if (waved.includes(a)) continue
    const alike = several[a.code] !== undefined
    const key = alike ? `${a.severity} ${a.code}` : `${adviceKey(a)} ${a.message}`
    const group = groups.get(key)
    if (group) group.advice.push(a)
    else groups.set(key, { key, severity: a.severity, says: a.message, advice: [a] })
  }
  for (const group of groups.values())
    if (group.advice.length > 1) group.says = several[group.advice[0]!.code]!(String(group.advice.length))
  const all = [...groups.values()]
  return {
    decide: all.filter((g) => g.severity !== 'note'),
    notes: all.filter((g) => g.severity === 'note'),
    waved,
  }
}

/** The label of one button for a whole group; null where one of them asks for a judgement of its own. */
export function allAtOnce({ advice }: AdviceGroup): string | null {
  const labels = new Set(advice.map((a) => a.remedy?.label ?? null))
  if (labels.has(null)) return null
  return labels.size === 1 && advice.length > 1
    ? `${[...labels][0]}, all ${advice.length}`
    : `Do all ${advice.length}`
}
