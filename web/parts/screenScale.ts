import { useLocalStorage } from '@mantine/hooks'

/** What a browser takes a millimetre to be before anybody has held a card to the screen. */
export const CSS_PX_PER_MM = 96 / 25.4

/** Sides of a bank card in mm (ISO/IEC 7810 ID-1). */
export const CARD_MM = { width: 85.6, height: 53.98 } as const

/** Pixels of this screen to a true millimetre; null until it has been measured with a card. Kept in this browser. */
export function useScreenScale() {
  const [pxPerMm, setPxPerMm] = useLocalStorage<number | null>({
    key: 'kanten-px-per-mm',
    defaultValue: null,
    getInitialValueInEffect: false,
  })
  return { pxPerMm, setPxPerMm }
}
