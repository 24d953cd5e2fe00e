/** What a worker may be, by the name that it is started with. */
const roles = {
  bags: () => import('./bags.worker.ts'),
  colour: () => import('./colour.worker.ts'),
  days: () => import('./days.worker.ts'),
  flowers: () => import('./flowers.worker.ts'),
  lighter: () => import('./lighter.worker.ts'),
  placing: () => import('./placing.worker.ts'),
  planner: () => import('./planner.worker.ts'),
  solid: () => import('./solid.worker.ts'),
}
export type Role = keyof typeof roles

// what is asked before the role has been learnt is asked again when it has
const early: MessageEvent[] = []
const keep = (message: MessageEvent) => early.push(message)
addEventListener('message', keep)
void roles[self.name as Role]().then(() => {
  removeEventListener('message', keep)
  for (const { data, ports } of early) dispatchEvent(new MessageEvent('message', { data, ports: [...ports] }))
})
