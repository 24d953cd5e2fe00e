/** What each worker has offered, by its role. */
const offered = new Map<string, Record<string, (...args: unknown[]) => unknown>>()
let latest: Record<string, (...args: unknown[]) => unknown> | null = null

const modules: Record<string, () => Promise<unknown>> = {
  flowers: () => import('../workers/flowers.worker.ts'),
  planner: () => import('../workers/planner.worker.ts'),
  colour: () => import('../workers/colour.worker.ts'),
  bags: () => import('../workers/bags.worker.ts'),
  days: () => import('../workers/days.worker.ts'),
  lighter: () => import('../workers/lighter.worker.ts'),
  solid: () => import('../workers/solid.worker.ts'),
}

/** A worker without a thread: its module runs here, every call still comes back later. */
export class HereWorker {
  readonly remote: unknown
  constructor(_: URL, { name }: { name: string }) {
    const ready = (async () => {
      if (!offered.has(name)) {
        await modules[name]!()
        offered.set(name, latest!)
      }
      return offered.get(name)!
    })()
    this.remote = new Proxy(
      {},
      {
        get:
          (_, method: string) =>
          async (...args: unknown[]) =>
            (await ready)[method]!(...args),
      },
    )
  }
}

/** In the place of Comlink: nothing crosses a thread. */
export const comlinkHere = {
  expose: (api: typeof latest) => {
    latest = api
  },
  wrap: (worker: HereWorker) => worker.remote,
  proxy: <T>(value: T) => value,
  transfer: <T>(value: T) => value,
}
