import type { Layout } from '../model/layout.ts'
import { exchange, findRoom, type Hand, putOn, rubOut } from './byHand.ts'
import type { Remedy } from './findings/finding.ts'

/** A remedy that changes what is there; as many as fit are placed anew instead. */
export type HandRemedy = Exclude<Remedy, { kind: 'fit' }>

/** A layout after somebody has taken a remedy. */
export function remedied(hand: Hand, remedy: HandRemedy, newId: () => string): Layout {
  switch (remedy.kind) {
    case 'fill':
      return putOn(hand, remedy.placedId, remedy.spot, newId, remedy.towards).layout
    case 'hide':
      return hidden(hand, remedy, newId)
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

/** The seam where it comes to be when its tier is turned, and leaves laid along it where it shows. */
function hidden(hand: Hand, remedy: Extract<Remedy, { kind: 'hide' }>, newId: () => string): Layout {
  const { chart } = hand
  const turned = hand.layout.toHide.map((hide) => {
    if (hide.id !== remedy.hideId || remedy.deg === 0) return hide
    const { x, y } = chart.unroll(chart.read(hide.place))
    const spot = chart.rollUp(x + (remedy.deg / 360) * chart.roundMm, y)
    return { ...hide, place: chart.store(spot) }
  })
  const { placedId } = remedy
  if (placedId === null) return { ...hand.layout, toHide: turned }
  return remedy.spots.reduce(
    (layout, spot) => {
      const { x, y } = chart.point(spot)
      // a leaf lies along a seam: its tip points down
      const made = putOn({ ...hand, layout }, placedId, spot, newId, { x, y })
      const lain = made.layout.sites.map((s) =>
        s.id === made.id ? { ...s, place: chart.store(spot), turnDeg: 0, hostId: null } : s,
      )
      return { ...made.layout, sites: lain }
    },
    { ...hand.layout, toHide: turned },
  )
}
