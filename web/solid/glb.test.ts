import { validateBytes } from 'gltf-validator'
import type { Mesh } from 'three'
import { Box3, Color, Vector3 } from 'three'
import { GLTFLoader } from 'three/examples/jsm/loaders/GLTFLoader.js'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '#core/catalogue/starter'
import { fitFlower } from '#core/flowers/resolve'
import { flowerMesh } from '#core/mesh/flowerMesh'
import { siteSchema } from '#core/model/layout'
import { standOf } from '#core/placing/stands'
import { chartOf, surfaceSchema } from '#core/surfaces/index'
import { boardOf, bodyOf } from './bodyOf.ts'
import { flowerGlb, pieceGlb } from './glb.ts'
import { plainParts } from './plainParts.ts'

async function exported(id: string, hexes: Record<string, string>) {
  const flower = starterWorkshop.flowers.find((f) => f.id === id)!
  const { layers, measure } = fitFlower(flower, { sizeMm: null, tips: {} }, starterWorkshop.tips)
  const mesh = flowerMesh(layers, 1, 0.35)
  const colours = { ...Object.fromEntries(flower.roles.map((r) => [r.id, r.hex])), ...hexes }
  const glb = await flowerGlb(
    mesh,
    flower,
    layers.map((l) => l.layer),
    colours,
  )
  return { glb, mesh, measure }
}

/** Read by a program that is not ours. */
async function opened(glb: Uint8Array<ArrayBuffer>): Promise<Mesh> {
  const { scene } = await new GLTFLoader().parseAsync(glb.buffer, '')
  let found: Mesh | null = null
  scene.traverse((thing) => {
    if ((thing as Mesh).isMesh) found = thing as Mesh
  })
  return found!
}

describe('a flower as glTF', () => {
  it.each(['blossom', 'rose', 'ranunculus', 'shell-border', 'leaf'])(
    '%s is what the usual validator calls sound',
    async (id) => {
      const { glb } = await exported(id, {})
      const { issues } = await validateBytes(glb)
      expect(issues.messages.slice(0, 3)).toEqual([])
      expect([issues.numErrors, issues.numWarnings]).toEqual([0, 0])
    },
  )

  it('opens elsewhere as large as it is, in metres, standing upright', async () => {
    const { glb, mesh, measure } = await exported('rose', {})
    const { geometry } = await opened(glb)
    geometry.computeBoundingBox()
    const size = geometry.boundingBox!.getSize(new Vector3())
    expect(Math.abs(size.y * 1000 - measure.heightMm)).toBeLessThan(1.5)
    expect(Math.abs((size.x + size.z) * 500 - measure.diameterMm)).toBeLessThan(2)
    expect(geometry.boundingBox!.min.y).toBeGreaterThanOrEqual(-1e-6)
    expect(geometry.index!.count).toBe(mesh.indices.length)
    // what was to the right stays to the right, what was away from us is behind: not a mirror image
    const at = geometry.getAttribute('position')
    const far = mesh.positions.reduce(
      (best, y, o) => (o % 3 === 1 && y > mesh.positions[best]! ? o : best),
      1,
    )
    expect(at.getZ((far - 1) / 3) * 1000).toBeCloseTo(-mesh.positions[far]!, 4)
    expect(at.getX((far - 1) / 3) * 1000).toBeCloseTo(mesh.positions[far - 1]!, 4)
  })

  it('opens in its colours: throat at the foot of a petal, petal at its rim, each as it was typed', async () => {
    const { glb, mesh } = await exported('blossom', { petal: '#ffffff', throat: '#800000' })
    const { geometry } = await opened(glb)
    const colours = geometry.getAttribute('color')
    const throat = new Color('#800000')
    const seen = { foot: 0, rim: 0 }
    mesh.layers.forEach((value, v) => {
      if (Math.floor(value + 0.2) !== 1) return
      const colour = new Color(colours.getX(v), colours.getY(v), colours.getZ(v))
      if (mesh.places[v]! < 0.2) {
        seen.foot += 1
        expect(Math.abs(colour.r - throat.r) + colour.g + colour.b).toBeLessThan(0.001)
      } else if (mesh.places[v]! > 0.5) {
        seen.rim += 1
        expect([colour.r, colour.g, colour.b].map((c) => Math.round(c * 1000))).toEqual([1000, 1000, 1000])
      }
    })
    expect(Math.min(seen.foot, seen.rim)).toBeGreaterThan(100)
  })
})

describe('a piece as glTF', () => {
  it('has every flower where it stands, as large as it is, and is sound', async () => {
    const chart = chartOf({ kind: 'cake', tiers: [{ diameterMm: 150, heightMm: 100 }], coveredMm: 0 })
    const { layers } = fitFlower(
      starterWorkshop.flowers.find((f) => f.id === 'blossom')!,
      { sizeMm: null, tips: {} },
      starterWorkshop.tips,
    )
    const mesh = flowerMesh(layers, 1, 0.35)
    const side = { zone: 'side', tier: 0, from: 'foot', a: 40, b: -90 } as const
    const stand = standOf(
      chart,
      { middleX: 0, middleY: 0 },
      siteSchema.parse({ id: 's', placedId: 'f', role: 'focal', place: side }),
    )
    const flower = { name: 'Blossom', mesh, layers: layers.map((l) => l.layer), colours: {}, stands: [stand] }
    const glb = await pieceGlb('Cake', chart.skin(), ['#efe6cd'], [flower])
    const { issues } = await validateBytes(glb)
    expect([issues.numErrors, issues.messages.slice(0, 2)]).toEqual([0, []])
    const { scene } = await new GLTFLoader().parseAsync(glb.buffer, '')
    const box = (name: string) => new Box3().setFromObject(scene.getObjectByName(name)!)
    // 100 mm high and 150 across; the flower 40 mm up on the front, which in glTF is towards +z
    const [cake, blossom] = [box('Cake'), box('Blossom_1')]
    expect([cake.max.y, cake.max.x * 2].map((m) => Math.round(m * 1000))).toEqual([100, 150])
    const middle = blossom.getCenter(new Vector3()).multiplyScalar(1000)
    expect(Math.abs(middle.y - 40)).toBeLessThan(2)
    expect(Math.abs(middle.x)).toBeLessThan(2)
    expect(middle.z).toBeGreaterThan(74)
    expect(blossom.max.z).toBeGreaterThan(0.075)
  })

  it('has the board that it stands on and the lines that are piped on it', async () => {
    const shape = surfaceSchema.parse({
      ...{ kind: 'bouquet', diameterMm: 60, domeMm: 6, standMm: 40, outline: { kind: 'round' } },
      at: [
        { x: -31, y: 0 },
        { x: 31, y: 0 },
      ],
    })
    const piece = { shape, coat: null, crumbCoat: null, filling: null, ownTiers: [] } as never
    const chart = chartOf(shape)
    const body = bodyOf(piece, chart, ['#efe6cd'], boardOf(piece, chart, 30))
    const points = [0, 10, 20].map((x) => ({ x, y: 0, z: 50, nx: 0, ny: 0, nz: 1 }))
    const plain = plainParts(body, [{ name: 'Hello', points, radiusMm: 1, hex: '#b98a3a' }])
    const glb = await pieceGlb('Bouquet', chart.skin(), ['#efe6cd'], [], plain)
    const { issues } = await validateBytes(glb)
    expect([issues.numErrors, issues.messages.slice(0, 2)]).toEqual([0, []])
    const { scene } = await new GLTFLoader().parseAsync(glb.buffer, '')
    const mm = (v: number) => Math.round(v * 1000)
    const words = new Box3().setFromObject(scene.getObjectByName('Hello')!)
    expect([mm(words.min.x), mm(words.max.x)]).toEqual([0, 20])
    // 122 across two cupcakes and 30 around them; a paper case for each, from the board to its rim
    const below = scene.children
      .filter((c) => c.name.startsWith('Stands_on'))
      .map((c) => new Box3().setFromObject(c))
    expect(below).toHaveLength(3)
    expect(Math.max(...below.map((b) => mm(b.max.x - b.min.x)))).toBe(182)
    expect(below.filter((b) => mm(b.max.y) === 40 && mm(b.min.y) === 0)).toHaveLength(2)
  })
})
