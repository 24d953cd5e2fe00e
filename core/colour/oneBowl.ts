import { ciede2000 } from './ciede2000.ts'
import { hexToLab } from './lab.ts'

/** Colours nearer than this are one bowl, CIEDE2000. */
const ONE_BOWL = 1

/** Whether two colours are so alike that orders share a bowl of them. */
export const oneBowl = (a: string, b: string): boolean => ciede2000(hexToLab(a), hexToLab(b)) < ONE_BOWL
