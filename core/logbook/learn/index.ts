import { calibrationRange, type Flower, spreadRange } from '../../model/flower.ts'
import type { IcingKind } from '../../model/icing.ts'
import type { LearntHand, Settings, Workshop } from '../../model/workshop.ts'
import { type Known, knownFrom, type NormalPrior, type Seen } from './normal.ts'
import { openTimes } from './openTime.ts'
import { bowlResidue, residueTimes, spoilRates } from './rates.ts'
import { gramsSeen, type Records, type SetAside, secondsSeen } from './records.ts'
import { recipesOf } from './shares.ts'

/** What kinds of figures are learnt. */
export type LearntKind = 'grams' | 'spread' | 'seconds' | 'spoiled' | 'residue' | 'bowl' | 'open'

/** One learnt figure: where it began, where it is, and what told it. */
export interface LearntFigure {
  /** Names it where it is set back: kind and effect. */
  key: string
  kind: LearntKind
  name: string
  start: number
  now: number
  /** Half width of its band, as a share; null where it has none. */
  band: number | null
  records: number
}

/** Everything that records have taught. */
export interface Learnt {
  figures: LearntFigure[]
  aside: SetAside[]
  /** By flower. */
  grams: Map<string, { factor: number; spread: number; band: number; records: number }>
  pace: Map<string, number>
  spoiled: Map<string, number>
  residue: number
  open: Map<string, number>
  /** Hands that were named, by name. */
  hands: LearntHand[]
}

/** Before anything is recorded the model is right within 30 %, shared among the hand, strokes and the flower itself. */
const GRAMS: NormalPrior = {
  stray: (key) =>
    key === 'hand' ? 0.2 : key.startsWith('person') ? 0.08 : key.startsWith('stroke') ? 0.14 : 0.17,
  noise: 0.137,
  day: 0.06,
}
/** Hands differ in pace more than in weight. */
const SECONDS: NormalPrior = {
  stray: (key) => (key === 'hand' ? 0.3 : key.startsWith('person') ? 0.15 : 0.15),
  noise: 0.2,
  day: 0.08,
}
/** A flower's own spread at the start counts for so many records. */
const SPREAD_RECORDS = 4
const START_SPREAD = 0.15
const PACE_RANGE = { least: 0.25, most: 4 }
/** Beyond so many times the noise a record pulls no harder. */
const HUBER = 2.5

const within = ({ least, most }: { least: number; most: number }, value: number) =>
  Math.min(most, Math.max(least, value))

/** All that is learnt, from every record at once: nothing is kept that a corrected entry would leave behind. */
export function learn(
  records: Records,
  workshop: Pick<Workshop, 'flowers' | 'tips' | 'icings'> & { settings: Pick<Settings, 'bowlResidueGrams'> },
  openOf: (icing: IcingKind) => number,
): Learnt {
  const recipes = recipesOf(workshop.flowers, workshop.tips)
  const flowers = new Map(workshop.flowers.map((f) => [f.id, f]))
  const told = { grams: gramsSeen(records, recipes), seconds: secondsSeen(records, recipes) }
  const grams = robust(told.grams.seen, GRAMS)
  const seconds = robust(told.seconds.seen, SECONDS)
  const rates = spoilRates(records, (id) => flowers.get(id)?.spoilRate ?? 0.05)
  const residue = residueTimes(records)
  const bowls = bowlResidue(records, workshop.settings.bowlResidueGrams)
  const open = openTimes(records, (id) => {
    const icing = workshop.icings.find((i) => i.id === id)
    return icing ? openOf(icing) : null
  })
  const figures: LearntFigure[] = []
  const byFlower: Learnt['grams'] = new Map()
  const pace: Learnt['pace'] = new Map()
  for (const flower of workshop.flowers) {
    const effects = [{ key: 'hand', share: 1 }, ...recipes.effectsOf(flower.id)]
    const mine = `flower ${flower.id}`
    if (isKnown(grams, effects, records.setBack, 'grams', mine)) {
      const own = told.grams.seen.flatMap((s, i) => (s.effects.some((e) => e.key === mine) ? [i] : []))
      const known = {
        factor: within(calibrationRange, Math.exp(grams.mean(effects))),
        spread: within(
          spreadRange,
          spreadOf(own.map((i) => ({ rest: grams.rests[i]!, weight: told.grams.seen[i]!.weight }))),
        ),
        band: grams.stray(effects),
        records: own.length,
      }
      byFlower.set(flower.id, known)
      if (own.length > 0) {
        figures.push({
          key: `grams ${mine}`,
          kind: 'grams',
          name: flower.name,
          start: 1,
          now: known.factor,
          band: known.band,
          records: own.length,
        })
        figures.push({
          key: `grams ${mine}`,
          kind: 'spread',
          name: flower.name,
          start: START_SPREAD,
          now: known.spread,
          band: null,
          records: own.length,
        })
      }
    }
    if (isKnown(seconds, effects, records.setBack, 'seconds', mine)) {
      const now = within(PACE_RANGE, Math.exp(seconds.mean(effects)))
      pace.set(flower.id, now)
      const own = told.seconds.seen.filter((s) => s.effects.some((e) => e.key === mine)).length
      if (own > 0)
        figures.push({
          key: `seconds ${mine}`,
          kind: 'seconds',
          name: flower.name,
          start: 1,
          now,
          band: seconds.stray(effects),
          records: own,
        })
    }
  }
  for (const [kind, known, seen] of [
    ['grams', grams, told.grams.seen],
    ['seconds', seconds, told.seconds.seen],
  ] as const)
    for (const key of known.keys) {
      if (key.startsWith('flower')) continue
      const one = [{ key, share: 1 }]
      figures.push({
        key: `${kind} ${key}`,
        kind,
        name: nameOf(key),
        start: 1,
        now: Math.exp(known.mean(one)),
        band: known.stray(one),
        records: seen.filter((s) => s.effects.some((e) => e.key === key)).length,
      })
    }
  for (const [id, rate] of rates)
    figures.push({
      key: `spoiled flower ${id}`,
      kind: 'spoiled',
      name: flowers.get(id)?.name ?? id,
      start: rate.start,
      now: rate.now,
      band: null,
      records: rate.records,
    })
  if (residue.records > 0)
    figures.push({
      key: 'residue bags',
      kind: 'residue',
      name: 'What stays in an emptied bag',
      start: 1,
      now: residue.now,
      band: null,
      records: residue.records,
    })
  if (bowls.records > 0)
    figures.push({
      key: 'residue bowls',
      kind: 'bowl',
      name: 'What stays in a bowl',
      start: bowls.start,
      now: bowls.now,
      band: null,
      records: bowls.records,
    })
  for (const [id, time] of open)
    figures.push({
      key: `open ${id}`,
      kind: 'open',
      name: workshop.icings.find((i) => i.id === id)!.name,
      start: time.start,
      now: time.now,
      band: null,
      records: time.records,
    })
  return {
    figures,
    aside: [...told.grams.aside, ...told.seconds.aside],
    grams: byFlower,
    pace,
    spoiled: new Map([...rates].map(([id, rate]) => [id, rate.now])),
    residue: residue.now,
    open: new Map([...open].map(([id, time]) => [id, time.now])),
    hands: handsOf(grams, seconds),
  }
}

/** What is known of each hand beside all hands together. */
function handsOf(grams: Known, seconds: Known): LearntHand[] {
  const keys = [...new Set([...grams.keys, ...seconds.keys])].filter((key) => key.startsWith('person '))
  const of = (known: Known, key: string) =>
    known.keys.includes(key) ? Math.exp(known.mean([{ key, share: 1 }])) : 1
  return keys.map((key) => ({
    ...{ name: key.slice('person '.length), grams: of(grams, key), pace: of(seconds, key) },
  }))
}

/** Whether anything at all is known of a flower; one that was set back and not recorded since is as it began. */
function isKnown(
  known: Known,
  effects: Seen['effects'],
  setBack: Records['setBack'],
  kind: string,
  mine: string,
): boolean {
  if (setBack[`${kind} ${mine}`] !== undefined && !known.keys.includes(mine)) return false
  return effects.some((e) => known.keys.includes(e.key))
}

const nameOf = (key: string): string => {
  if (key === 'hand') return 'All hands together'
  const name = key.replace(/^(person|stroke) /, '')
  return key.startsWith('person') ? name.replace(/(^|\s)\S/g, (c) => c.toUpperCase()) : name
}

/** Solved twice: what lay far off the first time pulls no harder than a record at the edge the second. */
function robust(seen: readonly Seen[], prior: NormalPrior): Known {
  const first = knownFrom(seen, prior)
  const edge = HUBER * prior.noise
  const calmer = seen.map((s, i) => {
    const off = Math.abs(first.rests[i]!)
    return off > edge ? { ...s, weight: (s.weight * edge) / off } : s
  })
  return calmer.some((s, i) => s !== seen[i]) ? knownFrom(calmer, prior) : first
}

/** From one day to the next: the common hand of the day, and what the flower strays beside it. */
function spreadOf(own: readonly { rest: number; weight: number }[]): number {
  const start = START_SPREAD ** 2 - GRAMS.day ** 2
  const squares = own.reduce((sum, o) => sum + o.weight * o.rest ** 2, 0)
  const weights = own.reduce((sum, o) => sum + o.weight, 0)
  // one record tells nothing of its own spread
  const free = Math.max(0, weights - 1)
  return Math.sqrt(
    GRAMS.day ** 2 + (SPREAD_RECORDS * start + (free > 0 ? squares : 0)) / (SPREAD_RECORDS + free),
  )
}

/** A flower as it is with what was learnt of it. What stays in bags and open times are not taken over by themselves: people do that. */
export function taughtFlower<F extends Pick<Flower, 'id' | 'calibration' | 'spread' | 'pace' | 'spoilRate'>>(
  flower: F,
  { grams, pace, spoiled }: Pick<Learnt, 'grams' | 'pace' | 'spoiled'>,
): F {
  const weight = grams.get(flower.id)
  return {
    ...flower,
    ...(weight && { calibration: weight.factor, spread: weight.spread }),
    pace: pace.get(flower.id) ?? flower.pace,
    spoilRate: Math.min(MOST_SPOILED, spoiled.get(flower.id) ?? flower.spoilRate),
  }
}

const MOST_SPOILED = 0.9
