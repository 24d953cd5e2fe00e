import { useSyncExternalStore } from 'react'
import { scale } from './scaleStore.ts'

/** How it stands with the scale of this device, as it says it. */
export const useScale = () => useSyncExternalStore(scale.subscribe, () => scale.state)
