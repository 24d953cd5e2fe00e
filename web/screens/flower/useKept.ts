import { useState } from 'react'
import { type Flower, flowerSchema } from '#core/model/flower'

const keyOf = (id: string) => `kept ${id}`

/** What was kept in this tab, if it can still be read. */
function read(id: string): Flower | null {
  try {
    return flowerSchema.parse(JSON.parse(sessionStorage.getItem(keyOf(id)) ?? 'null'))
  } catch {
    return null
  }
}

function write(flower: Flower): Flower {
  try {
    sessionStorage.setItem(keyOf(flower.id), JSON.stringify(flower))
  } catch {
    // a full or forbidden storage: it is then kept until the page is left
  }
  return flower
}

/**
 * The flower as it was when it was opened, or last kept as it stood: what changes are compared with. Kept over a reload.
 */
export function useKept(flower: Flower): [kept: Flower, keep: () => void] {
  const [kept, setKept] = useState(() => read(flower.id) ?? write(flower))
  return [kept, () => setKept(write(flower))]
}
