import { useLocalStorage } from '@mantine/hooks'

/** What a press can do at the bench. */
export const benchActs = ['tap', 'back', 'next', 'before'] as const
export type BenchAct = (typeof benchActs)[number]

/** How the bench is on this device, whatever the bakery's settings are elsewhere. */
export interface Tablet {
  room: 'bakery' | 'light' | 'dark'
  large: boolean
  /** Steps are spoken by the browser's own voice. */
  voice: boolean
  /** Which keys do what, as the browser names them. */
  keys: Record<BenchAct, string[]>
}

/** Pages as a foot pedal sends them, arrows, and what lies under a thumb. */
export const USUAL_TABLET: Tablet = {
  ...{ room: 'bakery', large: false, voice: false },
  keys: {
    tap: ['PageDown', 'Enter', ' '],
    back: ['PageUp', 'Backspace'],
    next: ['ArrowRight'],
    before: ['ArrowLeft'],
  },
}

/** A key given to an act; no key does two things. */
export function withKey(tablet: Tablet, act: BenchAct, key: string): Tablet {
  const keys = Object.fromEntries(
    benchActs.map((a) => {
      const others = tablet.keys[a].filter((k) => k !== key)
      return [a, a === act ? [...others, key] : others]
    }),
  ) as Tablet['keys']
  return { ...tablet, keys }
}

/** What this device is set to; it remembers. */
export function useTablet() {
  const [kept, setKept] = useLocalStorage<Tablet>({
    key: 'kanten.bench.tablet',
    defaultValue: USUAL_TABLET,
    getInitialValueInEffect: false,
  })
  // one that an earlier version kept may lack something
  const tablet: Tablet = { ...USUAL_TABLET, ...kept, keys: { ...USUAL_TABLET.keys, ...kept.keys } }
  return { tablet, setTablet: setKept }
}
