import type { Page } from './bakery.ts'

/** No screen is longer than two of a desk's; on a tablet things stand below each other that stand beside each other there. */
const LONGEST_AT_DESK = 1600
const LONGEST_ON_TABLET = 2800
/** What is pressed, px, less what a browser rounds. */
const PRESS = 39.5

/** What is too small to press, cut off, or scrolls sideways. */
function pressedAndCut(page: Page): Promise<string[]> {
  return page.evaluate((least) => {
    const found: string[] = []
    const seen = new Set<Element>()
    for (const e of document.querySelectorAll<HTMLElement>(
      'button, a[href], input:not([type=hidden]), select, textarea, summary, [role=slider]',
    )) {
      const style = getComputedStyle(e)
      // links within a sentence are as high as its line; a task is as wide as it takes and has a row of its own elsewhere
      if (style.display === 'inline' || (e as HTMLButtonElement).disabled || 'toScale' in e.dataset) continue
      if (style.visibility === 'hidden' || e.closest('[aria-hidden=true]')) continue
      // a field is pressed anywhere in its frame, a box or a switch on its words too
      const frame = e.matches('input') ? (e.closest('.mantine-Input-wrapper') ?? e) : e
      if (seen.has(frame)) continue
      seen.add(frame)
      const label = e.closest('label') ?? (e.id && document.querySelector(`label[for="${CSS.escape(e.id)}"]`))
      const rects = [frame, ...(e.matches('[type=checkbox], [type=radio]') && label ? [label] : [])].map(
        (x) => x.getBoundingClientRect(),
      )
      let width = Math.max(...rects.map((r) => r.right)) - Math.min(...rects.map((r) => r.left))
      let height = Math.max(...rects.map((r) => r.bottom)) - Math.min(...rects.map((r) => r.top))
      if (width < 2 || height < 2) continue
      const around = getComputedStyle(e, '::after')
      if (around.content !== 'none' && around.position === 'absolute') {
        width = Math.max(width, Number.parseFloat(around.width) || 0)
        height = Math.max(height, Number.parseFloat(around.height) || 0)
      }
      if (width < least || height < least)
        found.push(
          `${Math.round(width)}x${Math.round(height)} to press: ${(e.getAttribute('aria-label') || e.textContent || e.className).slice(0, 40)}`,
        )
    }
    for (const e of document.querySelectorAll<HTMLElement>('main *')) {
      if (e.closest('svg, .apexcharts-canvas, [data-to-scale]') || e.clientWidth < 5) continue
      const cut =
        e.scrollWidth > e.clientWidth + 1 && ['hidden', 'clip'].includes(getComputedStyle(e).overflowX)
      // what stands for reading aloud only is a pixel wide by design
      if (cut && e.innerText?.trim() && e.clientWidth > 2)
        found.push(`cut off: ${e.innerText.slice(0, 40)} (${e.clientWidth} of ${e.scrollWidth})`)
    }
    // what is longer than its frame is scrolled down; sideways only what says so, as a table or a row of tabs does
    for (const e of document.querySelectorAll<HTMLElement>('main *')) {
      const scrolls = ['auto', 'scroll'].includes(getComputedStyle(e).overflowX)
      if (scrolls && e.scrollWidth > e.clientWidth + 1 && e.clientWidth > 2 && !e.closest('[data-sideways]'))
        found.push(`sideways within: ${e.className} (${e.clientWidth} of ${e.scrollWidth})`)
    }
    const sideways = document.documentElement.scrollWidth - innerWidth
    if (sideways > 0) found.push(`${sideways} px sideways`)
    return found
  }, PRESS)
}

/** What is wrong with the size of the screen that is open and of what is on it, in words. */
export async function misfits(page: Page): Promise<string[]> {
  const { width } = page.viewportSize()!
  const height = await page.evaluate(() => document.documentElement.scrollHeight)
  const longest = width >= 1280 ? LONGEST_AT_DESK : LONGEST_ON_TABLET
  const found = await pressedAndCut(page)
  return [...(height > longest ? [`${height} px long`] : []), ...found].map((f) => `at ${width}: ${f}`)
}
