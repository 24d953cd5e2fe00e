import { useLocalStorage } from '@mantine/hooks'

/** How pictures are drawn on one device: as fine as they can be, or quickly, for a slow tablet or a browser without graphics. */
export type Pictures = 'fine' | 'quick'

/** Where it is kept, for the device alone; whoever drives a browser for a test may set it too. */
export const PICTURES_KEY = 'kanten pictures'

/** Whether solids are to be coarse, without shadows, and library pictures drawn from above. */
export const quickPictures = (): boolean => localStorage.getItem(PICTURES_KEY) === 'quick'

export const usePictures = () =>
  useLocalStorage<Pictures>({
    key: PICTURES_KEY,
    defaultValue: 'fine',
    serialize: (value) => value,
    deserialize: (value) => (value === 'quick' ? 'quick' : 'fine'),
    getInitialValueInEffect: false,
  })
