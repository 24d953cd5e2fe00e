import { get, set } from 'idb-keyval'
import { useEffect, useRef, useState } from 'react'
import type { ResolvedLayer } from '#core/flowers/layers'
import type { BorderRun } from '#core/flowers/run'
import type { FaultId } from '#core/wrong/faults'
import { quickPictures } from '../parts/pictures.ts'
import { flowerPalette } from '../solid/palette.ts'
import type { Picture } from './flowers.worker.ts'
import type { Solid } from './solid.worker.ts'
import { solidKey, solidOf, wrongSolidOf } from './solids.ts'

/** Raised when pictures of the same recipe come to look different. */
const LOOK = 3
const DETAIL = 0.6
const SEED = 1

type Colours = Readonly<Record<string, string>>
interface Piped {
  layers: readonly ResolvedLayer[]
  run: BorderRun | null
}

/** From where pictures are seen, degrees over the table: faults show at rims and ends, which are seen from the side. */
const FROM_DEG = { usual: 56, fault: 34 }

/**
 * A picture of a flower's solid as an address for an `img`: made once, kept in the browser, and made when it is
 * first `wanted` on screen. Undefined until then, and wherever there is no WebGL.
 */
export function useThumbnail(
  picture: Picture | undefined,
  colours: Colours,
  wanted: boolean,
): string | undefined {
  return usePainted(picture && keyOf('thumbnail', picture, colours), wanted, () =>
    painted(picture!.layers, colours, solidOf(picture!.layers, SEED, DETAIL, picture!.run), FROM_DEG.usual),
  )
}

/** The same of a flower with a fault in it; without a fault, of what it should be. */
export function useWrongThumbnail(of: Piped, fault: FaultId | null, colours: Colours): string | undefined {
  return usePainted(keyOf(`wrong ${fault}`, of, colours), true, () =>
    painted(of.layers, colours, wrongSolidOf(of.layers, fault, SEED, of.run), FROM_DEG.fault),
  )
}

const keyOf = (what: string, { layers, run }: Piped, colours: Colours): string =>
  `${what} ${LOOK} ${solidKey(layers, SEED, DETAIL, run)} ${JSON.stringify([layers.map((l) => l.layer.load), colours])}`

async function painted(
  layers: readonly ResolvedLayer[],
  colours: Colours,
  asked: Promise<Solid>,
  fromDeg: number,
): Promise<Blob> {
  const [{ paintThumbnail }, solid] = await Promise.all([import('../solid/thumbnails.ts'), asked])
  const plain = layers.map((l) => l.layer)
  return paintThumbnail(solid, flowerPalette(plain, colours), fromDeg)
}

const urls = new Map<string, string>()
let queue: Promise<unknown> = Promise.resolve()

/** The address of a picture that is painted once for a key, one after another, and not at all for what has left the screen. */
function usePainted(
  key: string | undefined,
  wanted: boolean,
  paint: () => Promise<Blob>,
): string | undefined {
  const [url, setUrl] = useState<string>()
  const painting = useRef(paint)
  painting.current = paint
  useEffect(() => {
    // quick pictures are drawn from above
    if (!key || !wanted || quickPictures()) return
    let current = true
    const show = (found: string | undefined) => {
      if (current && found) setUrl(found)
    }
    const known = urls.get(key)
    if (known) show(known)
    else {
      queue = queue.then(async () => {
        if (current || urls.has(key)) show(urls.get(key) ?? (await make(key, painting.current)))
      })
    }
    return () => {
      current = false
    }
  }, [key, wanted])
  return url
}

async function make(key: string, paint: () => Promise<Blob>): Promise<string | undefined> {
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
}
