// @vitest-environment happy-dom

import { readFileSync } from 'node:fs'
import { act, cleanup, renderHook, waitFor } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { starterWorkshop } from '#core/catalogue/starter'
import { readBakeryFile, withBakery } from '#core/files/bakeryFile'
import { orderFileSchema } from '#core/files/orderFile'
import { planOrder } from '#core/plan/index'
import { HereWorker } from '../testing/workers.ts'
import { useBagSearch } from './bags.ts'
import { useBowls, useCorrection, useLadder, useSchools } from './colours.ts'
import { useDraftPicture, usePicture, usePictures } from './flowers.ts'
import { usePlan, usePlans } from './planner.ts'
import { COARSE, FINE, solidKey, solidOf, useSolid } from './solids.ts'
import { useThumbnail } from './thumbnails.ts'

vi.mock('comlink', async () => (await import('../testing/workers.ts')).comlinkHere)
vi.mock('idb-keyval', () => ({ get: async () => undefined, set: async () => undefined }))
vi.stubGlobal('Worker', HereWorker)
// as in a browser that a person drives: fine solids follow the coarse ones
afterEach(cleanup)

const load = (name: string) => JSON.parse(readFileSync(`demo/${name}.json`, 'utf8'))
const bakery = readBakeryFile(load('bakery'), starterWorkshop)
if (!bakery.ok) throw new Error('The demo bakery does not read.')
const workshop = withBakery(starterWorkshop, bakery.value)
const { order } = orderFileSchema.parse(load('allotment'))
const rose = workshop.flowers.find((f) => f.id === 'rose')!
const own = { sizeMm: null, tips: {} }
const soon = { timeout: 20_000 }

describe('the plan on screen', () => {
  it('is the plan of the order as it is now, and says what stands in its way', async () => {
    const { result, rerender } = renderHook((of: typeof order) => usePlan(of, workshop), {
      initialProps: order,
    })
    expect(result.current).toBeUndefined()
    await waitFor(() => expect(result.current?.plan).toEqual(planOrder(order, workshop)), soon)
    const double = { ...order, pieces: order.pieces.map((p) => ({ ...p, count: 2 * p.count })) }
    rerender(double)
    await waitFor(() => expect(result.current?.plan).toEqual(planOrder(double, workshop)), soon)
    const placed = { ...order.pieces[0]!.flowers[0]!, flowerId: 'gone' }
    rerender({ ...order, pieces: [{ ...order.pieces[0]!, flowers: [placed] }] })
    await waitFor(() => expect(result.current?.plan).toBeNull(), soon)
    expect(result.current!.faults[0]!.path).toEqual(['pieces', 0, 'flowers', 0, 'flowerId'])
  })

  it('of several orders comes in their order', async () => {
    const { result } = renderHook(() => usePlans([{ ...order, id: 'second' }, order], workshop))
    await waitFor(
      () => expect(result.current?.map((p) => p.plan?.orderId)).toEqual(['second', order.id]),
      soon,
    )
    expect(renderHook(() => usePlans([], workshop)).result.current).toBeUndefined()
  })
})

describe('flowers on screen', () => {
  it('are fitted to the size asked for, one or many, and while they are changed', async () => {
    const one = renderHook(() => usePicture(rose, { sizeMm: 30, tips: {} }, workshop))
    await waitFor(() => expect(one.result.current.picture).toBeDefined(), soon)
    const small = one.result.current.picture!.measure.diameterMm
    const wanted = [
      { flower: rose, ...own },
      { flower: rose, sizeMm: 30, tips: {} },
    ]
    const many = renderHook(() => usePictures(wanted, workshop))
    await waitFor(() => expect(many.result.current).toHaveLength(2), soon)
    expect(many.result.current![0]!.measure.diameterMm).toBeGreaterThan(small)
    expect(many.result.current![1]!.measure.diameterMm).toBe(small)

    const draft = renderHook((of: typeof rose) => useDraftPicture(of, workshop), { initialProps: rose })
    await waitFor(() => expect(draft.result.current.picture).toBeDefined(), soon)
    const before = draft.result.current.picture!.measure.volumeMm3
    draft.rerender({ ...rose, layers: rose.layers.slice(0, 2) })
    await waitFor(() => expect(draft.result.current.picture!.measure.volumeMm3).toBeLessThan(before), soon)
    // a tip that is not there: the last picture stays, with the reason
    draft.rerender({ ...rose, layers: [{ ...rose.layers[0]!, tipId: 'gone' }] })
    await waitFor(() => expect(draft.result.current.error).toBeDefined(), soon)
    expect(draft.result.current.picture).toBeDefined()
  })

  it('are left out while they are changed faster than they can be worked out; the last one always comes', async () => {
    const seen = new Set<unknown>()
    const draft = renderHook(
      (of: typeof rose) => {
        const { picture } = useDraftPicture(of, workshop)
        seen.add(picture)
        return picture
      },
      { initialProps: rose },
    )
    const withHeart = (count: number) => ({
      ...rose,
      layers: rose.layers.map((l, i) => (i === 0 ? { ...l, count } : l)),
    })
    for (let count = 2; count <= 12; count++) draft.rerender(withHeart(count))
    const strokes = () => draft.result.current?.measure.layers[0]?.strokes
    await waitFor(() => expect(strokes()).toBe(12), soon)
    // nothing, perhaps the first, and the last: not all twelve
    expect(seen.size).toBeLessThanOrEqual(4)
  })

  it('are solids, coarse first, built once for the same shape whatever its colours and names', async () => {
    const one = renderHook(() => usePicture(rose, own, workshop))
    await waitFor(() => expect(one.result.current.picture).toBeDefined(), soon)
    const { layers, run } = one.result.current.picture!
    const solid = renderHook(() => useSolid(layers, 1, run))
    await waitFor(() => expect(solid.result.current).toBeDefined(), soon)
    const coarse = await solidOf(layers, 1, COARSE, run)
    expect(await solidOf(layers, 1, COARSE, run)).toBe(coarse)
    await waitFor(
      () => expect(solid.result.current!.mesh.indices.length).toBeGreaterThan(coarse.mesh.indices.length),
      soon,
    )
    const renamed = layers.map((l) => ({ ...l, layer: { ...l.layer, name: 'Other' } }))
    expect(solidKey(renamed, 1, FINE, run)).toBe(solidKey(layers, 1, FINE, run))
    expect(solidKey(layers.slice(1), 1, FINE, run)).not.toBe(solidKey(layers, 1, FINE, run))
    // without WebGL there is no picture, and no failure
    const picture = renderHook(() => useThumbnail(one.result.current.picture, { heart: '#ffffff' }, true))
    await act(() => new Promise((resolve) => setTimeout(resolve, 50)))
    expect(picture.result.current).toBeUndefined()
  })
})

describe('colours on screen', () => {
  it('have doses, schools, ladders and remedies', async () => {
    const task = { colourId: 'x', targetHex: '#e3a9ae', icingKindId: 'butter-sugar', grams: 200 }
    const bowls = renderHook(() =>
      useBowls([{ ...task, hex: task.targetHex, dyeIds: null } as never], workshop),
    )
    await waitFor(() => expect(bowls.result.current).toHaveLength(1), soon)
    const schools = renderHook(() => useSchools(order, workshop, null))
    await waitFor(() => expect(schools.result.current.data!.length).toBeGreaterThan(1), soon)
    const dye = workshop.dyes[0]!
    const ladder = renderHook(() => useLadder(dye, workshop.icings[0]!, workshop.icings))
    await waitFor(() => expect(ladder.result.current!.steps).toHaveLength(6), soon)
    const look = {
      icingKindId: 'butter-sugar',
      grams: 200,
      doses: [{ dyeId: 'pink', drops: 8 }],
      targetHex: '#f4c8cf',
      observedHex: '#d97f92',
    }
    const mend = renderHook(() => useCorrection(look, workshop))
    await waitFor(() => expect(mend.result.current!.ways.length).toBeGreaterThan(0), soon)
    expect(renderHook(() => useCorrection(null, workshop)).result.current).toBeUndefined()
  })
})

describe('the search for better bags', () => {
  it('tells how it stands until it is done, and stops when asked to', async () => {
    const search = renderHook(() => useBagSearch(order, workshop))
    act(() => search.result.current.start())
    expect(search.result.current.running).toBe(true)
    await waitFor(() => expect(search.result.current.state).not.toBeNull(), soon)
    act(() => search.result.current.stop())
    expect(search.result.current.running).toBe(false)
    const told = search.result.current.state!.done
    await act(() => new Promise((resolve) => setTimeout(resolve, 200)))
    expect(search.result.current.state!.done).toBeLessThanOrEqual(Math.max(told, 1))
  })
})
