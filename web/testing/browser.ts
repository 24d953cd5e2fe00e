import { vi } from 'vitest'

/** What a real browser has and the one of the tests has not: media that can be asked for, sizes that can be watched. */
export function stubBrowser(): void {
  const media = { matches: false, addEventListener() {}, removeEventListener() {} }
  vi.stubGlobal('matchMedia', () => media)
  // a field of many lines grows with its font
  Object.defineProperty(document, 'fonts', { value: media, configurable: true })
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe() {}
      unobserve() {}
      disconnect() {}
    },
  )
}
