import type { DaySettings } from '../model/day.ts'
import { chartOf, type Surface, standsOnBoard } from '../surfaces/index.ts'

/** Air between what stands side by side on a tray, and parchment around a flower on its square, mm. */
const BETWEEN_MM = 8
const SQUARE_MARGIN_MM = 5

type Tray = Pick<DaySettings, 'trayWideMm' | 'trayDeepMm'>

/** How many of a size stand on a tray in rows, at least one: what is larger takes a place of its own. */
export function perTray({ trayWideMm, trayDeepMm }: Tray, wideMm: number, deepMm: number): number {
  const rows = (w: number, d: number) =>
    Math.floor((trayWideMm + BETWEEN_MM) / (w + BETWEEN_MM)) *
    Math.floor((trayDeepMm + BETWEEN_MM) / (d + BETWEEN_MM))
  return Math.max(1, rows(wideMm, deepMm), rows(deepMm, wideMm))
}

/** Different flowers share a tray: what each takes is counted in parts of one. */
const TRAY_PARTS = 4

/** Trays for flowers on their squares, to a quarter. */
export function flowerTrays(tray: Tray, flowers: number, widthMm: number): number {
  const side = widthMm + 2 * SQUARE_MARGIN_MM
  return Math.ceil((TRAY_PARTS * flowers) / perTray(tray, side, side)) / TRAY_PARTS
}

/** Trays, or places of their own, for pieces that are alike. */
export function pieceTrays(tray: Tray, shape: Surface, count: number, boardMarginMm: number): number {
  const { top } = chartOf(shape)
  const margin = standsOnBoard(shape) ? 2 * boardMarginMm : 0
  return Math.ceil(count / perTray(tray, 2 * top.x + margin, 2 * top.y + margin))
}
