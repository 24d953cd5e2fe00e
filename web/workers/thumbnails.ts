import { get, set } from 'idb-keyval'
import { useEffect, useState } from 'react'
import { flowerPalette } from '../solid/palette.ts'
import type { Picture } from './planner.worker.ts'
import { driven, solidKey, solidOf } from './solids.ts'

/** Raised when pictures of the same recipe come to look different. */
const LOOK = 3
const DETAIL = 0.6
const SEED = 1

const urls = new Map<string, string>()
let queue: Promise<unknown> = Promise.resolve()

/**
 * A picture of a flower's solid as an address for an `img`: made once, kept in the browser, and made when it is
 * first `wanted` on screen. Undefined until then, and wherever there is no WebGL.
 */
export function useThumbnail(
  picture: Picture | undefined,
  colours: Readonly<Record<string, string>>,
  wanted: boolean,
): string | undefined {
  const [url, setUrl] = useState<string>()
  const key = picture
    ? `thumbnail ${LOOK} ${solidKey(picture.layers, SEED, DETAIL, picture.run)} ${JSON.stringify([picture.layers.map((l) => l.layer.load), colours])}`
    : null
  useEffect(() => {
    // a browser driven by a test draws in software: the drawing from above has to do
    if (!key || !picture || !wanted || driven()) return
    let current = true
    const show = (found: string | undefined) => {
      if (current && found) setUrl(found)
    }
    const known = urls.get(key)
    if (known) show(known)
    else {
      // one after another, and not at all for what has meanwhile left the screen
      queue = queue.then(async () => {
        if (current || urls.has(key)) show(urls.get(key) ?? (await make(key, picture, colours)))
      })
    }
    return () => {
      current = false
    }
  }, [key, picture, colours, wanted])
  return url
}

async function make(
  key: string,
  { layers, run }: Picture,
  colours: Readonly<Record<string, string>>,
): Promise<string | undefined> {
  try {
    const kept = await get<Blob>(key).catch(() => undefined)
    const blob = kept ?? (await paint())
    if (!kept) await set(key, blob).catch(() => undefined)
    const url = URL.createObjectURL(blob)
    urls.set(key, url)
    return url
  } catch {
    // without WebGL the drawing from above stays
    return undefined
  }

  async function paint(): Promise<Blob> {
    const [{ paintThumbnail }, solid] = await Promise.all([
      import('../solid/thumbnails.ts'),
      solidOf(layers, SEED, DETAIL, run),
    ])
    const plain = layers.map((l) => l.layer)
    return paintThumbnail(solid, flowerPalette(plain, colours))
  }
}
