import type { Flower } from '../model/flower.ts'
import { flowerToFind } from './entries.ts'
import { newFinder } from './find.ts'

/** The flowers that a few words find, by name, part or stroke, the likeliest first. */
export function foundFlowers(flowers: readonly Flower[], text: string): Flower[] {
  const byEntry = new Map(flowers.map((f) => [flowerToFind(f), f]))
  return newFinder([...byEntry.keys()])
    .find(text, flowers.length)
    .map((entry) => byEntry.get(entry)!)
}
