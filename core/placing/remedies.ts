import type { Layout } from '../model/layout.ts'
import { exchange, findRoom, type Hand, putOn, rubOut } from './byHand.ts'
import type { Remedy } from './judge.ts'

/** A remedy that changes what is there; as many as fit are placed anew instead. */
export type HandRemedy = Exclude<Remedy, { kind: 'fit' }>

/** A layout after somebody has taken a remedy. */
export function remedied(hand: Hand, remedy: HandRemedy, newId: () => string): Layout {
  switch (remedy.kind) {
    case 'fill':
      return putOn(hand, remedy.placedId, remedy.spot, newId, remedy.towards).layout
    case 'swap':
      return exchange(hand.layout, remedy.siteIds)
    case 'moveIn':
      return findRoom(hand, new Set([remedy.siteId]))
    case 'giveWay':
      return findRoom(hand, new Set(remedy.siteIds))
    case 'takeOff':
      return rubOut(hand.layout, new Set([remedy.siteId]))
  }
}
