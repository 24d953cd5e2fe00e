import { allergenWords, stiffnesses } from '../common.ts'
import type { IcingKind } from '../model/icing.ts'
import { settingOf, stiffnessWord } from './setting.ts'

/** Weights that differ by less than this share are not worth a sentence. */
const HEAVIER = 0.08

const SETTING_WORDS = {
  cold: 'Flowers on nails are frozen or chilled hard, then lifted at once; a coat is chilled before it is decorated.',
  drying:
    'Flowers on nails dry on their squares before they are lifted, small ones overnight, thick ones for days: plan squares and room for all of them. A coat dries before it is decorated.',
  neither: 'Flowers cannot be lifted from nails: pipe them in place.',
}

/** What changes when an order goes from one icing kind to another, a sentence each; empty where nothing does. */
export function icingConsequences(from: IcingKind, to: IcingKind): string[] {
  const said: string[] = []
  if (settingOf(from) !== settingOf(to)) said.push(SETTING_WORDS[settingOf(to)])
  const words = stiffnesses.filter((s) => stiffnessWord(from, s) !== stiffnessWord(to, s))
  if (words.length > 0)
    said.push(
      `Its thickness goes by other words: ${words.map((s) => `${stiffnessWord(from, s)} is now ${stiffnessWord(to, s)}`).join(', ')}.`,
    )
  if (from.can.standUpright && !to.can.standUpright) said.push('It does not hold standing petals up.')
  if (!from.can.standUpright && to.can.standUpright) said.push('It holds standing petals up.')
  if (from.crustMinutes !== to.crustMinutes) said.push(crustWords(to.crustMinutes))
  if (from.holds.roomHours !== to.holds.roomHours || from.holds.coldDays !== to.holds.coldDays)
    said.push(
      `Mixed, it keeps about ${to.holds.roomHours} h at room temperature and ${to.holds.coldDays} days cold; your food-safety plan decides.`,
    )
  const heavier = to.density / from.density - 1
  if (Math.abs(heavier) > HEAVIER)
    said.push(
      `The same flowers weigh ${Math.round(100 * Math.abs(heavier))} % ${heavier > 0 ? 'more' : 'less'}: ${to.density} g/ml instead of ${from.density}.`,
    )
  if (from.baseHex !== to.baseHex || from.scatter !== to.scatter)
    said.push('Its ground is of another white, so that every colour gets another formula.')
  return [...said, ...allergenChanges(from, to), ...(to.rawEgg && !from.rawEgg ? [RAW_EGG] : [])]
}

const RAW_EGG = 'It is made with raw egg white: use pasteurised or dried, and follow your local rules.'

const crustWords = (minutes: number) =>
  minutes === 0
    ? 'Its surface stays open: layers may wait for each other.'
    : `Its surface sets in about ${minutes} minutes: layers that must join come before that.`

function allergenChanges(from: IcingKind, to: IcingKind): string[] {
  const of = (icing: IcingKind) => new Set(icing.ingredients.flatMap((i) => i.allergens))
  const [before, after] = [of(from), of(to)]
  const named = (list: readonly (keyof typeof allergenWords)[]) =>
    list.map((a) => allergenWords[a]).join(', ')
  const gained = [...after].filter((a) => !before.has(a))
  const lost = [...before].filter((a) => !after.has(a))
  return [
    ...(gained.length > 0 ? [`It contains ${named(gained)}, which the other does not.`] : []),
    ...(lost.length > 0 ? [`It is made without ${named(lost)}; the bowls and tips may not be.`] : []),
  ]
}
