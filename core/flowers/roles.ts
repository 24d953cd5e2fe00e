import { loadRoles, withRoles } from '../loads/index.ts'
import type { Flower, Role } from '../model/flower.ts'

/** Layers that pipe a part's colour. */
export const layersOfRole = (flower: Flower, roleId: string) =>
  flower.layers.filter((l) => loadRoles(l.load).includes(roleId))

/** The flower with a part changed. */
export function changeRole(flower: Flower, id: string, part: Partial<Omit<Role, 'id'>>): Flower {
  return { ...flower, roles: flower.roles.map((r) => (r.id === id ? { ...r, ...part } : r)) }
}

/** The flower without a part: what it coloured takes the colour of another. Bags of one colour are filled plainly. */
export function mergeRole(flower: Flower, id: string, into: string): Flower {
  if (id === into) return flower
  return {
    ...flower,
    roles: flower.roles.filter((r) => r.id !== id),
    layers: flower.layers.map((layer) => {
      const load = withRoles(layer.load, (role) => (role === id ? into : role))
      const [first, ...others] = new Set(loadRoles(load))
      if (others.length === 0) return { ...layer, load: { kind: 'plain', role: first! } }
      return { ...layer, load: load.kind === 'layered' ? { ...load, tones: [first!, ...others] } : load }
    }),
  }
}
