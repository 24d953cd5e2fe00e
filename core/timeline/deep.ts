import { hexToLab } from '../colour/lab.ts'

/** Lightness under which a colour is full of dye and goes on deepening; L* of D65 Lab. */
const DEEP = 34
/** Reds deepen visibly up to this lightness: their hue, degrees, and least chroma. */
const RED = { lightest: 50, from: -5, to: 50, chroma: 45 }

/** Whether a colour is mixed early because it deepens as it rests: dark ones, and full reds. */
export function deepens(hex: string): boolean {
  const [l, a, b] = hexToLab(hex)
  if (l < DEEP) return true
  const hue = (Math.atan2(b, a) * 180) / Math.PI
  return l < RED.lightest && hue > RED.from && hue < RED.to && Math.hypot(a, b) > RED.chroma
}
