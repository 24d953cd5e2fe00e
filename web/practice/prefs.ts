import { useLocalStorage } from '@mantine/hooks'
import type { OtherHand } from './piping.ts'

/** How somebody practises at this device; kept in this browser. */
export interface Prefs {
  other: OtherHand
  /** Flow follows the squeeze more gently than icing does. */
  gentle: boolean
  person: string
  /** A stylus that presses has been used here. */
  pen: boolean
  /** What the stylus tells at the lightest and the hardest press of this hand, 0 to 1; null before it was tried. */
  range: { least: number; most: number } | null
}

const USUAL: Prefs = { other: 'nothing', gentle: false, person: '', pen: false, range: null }

export function usePrefs() {
  const [prefs, setPrefs] = useLocalStorage<Prefs>({
    key: 'kanten-practice',
    defaultValue: USUAL,
    getInitialValueInEffect: false,
  })
  return {
    prefs: { ...USUAL, ...prefs },
    set: (part: Partial<Prefs>) => setPrefs((now) => ({ ...USUAL, ...now, ...part })),
  }
}
