import { useEffect } from 'react'

/** Keeps the screen awake where the browser can. */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null
    const take = () => {
      if (document.visibilityState === 'visible')
        navigator.wakeLock
          ?.request('screen')
          .then((l) => {
            lock = l
          })
          // on low battery it may be refused
          .catch(() => undefined)
    }
    take()
    document.addEventListener('visibilitychange', take)
    return () => {
      document.removeEventListener('visibilitychange', take)
      void lock?.release()
    }
  }, [])
}
