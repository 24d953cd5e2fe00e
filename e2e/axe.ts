import AxeBuilder from '@axe-core/playwright'
import type { Page } from './bakery.ts'

/** What axe finds; the insides of drawings, which are one picture each, are left out. */
async function foundOn(page: Page, narrow = (axe: AxeBuilder) => axe): Promise<string[]> {
  const { violations } = await narrow(
    // what passes is nobody's concern, and listing it takes half of the time
    new AxeBuilder({ page })
      // no frames here: a page opened for every verdict is half of the time again
      .setLegacyMode(true)
      .options({ resultTypes: ['violations'] })
      .exclude('svg > *'),
  ).analyze()
  return violations.map(
    (v) =>
      `${v.id}: ${v.nodes
        .slice(0, 3)
        .map((n) => n.html)
        .join(' | ')}`,
  )
}

/** Changes the room, and waits until every colour has come to where it fades to. */
const inRoom = (page: Page, room: 'light' | 'dark') =>
  page.evaluate(async (name) => {
    document.documentElement.setAttribute('data-mantine-color-scheme', name)
    // what fades begins to with the next frame
    await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))
    const fading = document.getAnimations().filter((a) => a instanceof CSSTransition)
    await Promise.allSettled(fading.map((a) => a.finished))
  }, room)

/** All that axe finds on a screen in the light room, and in the dark one what can differ there, which is contrast. */
export async function axeFinds(page: Page): Promise<string[]> {
  const light = await foundOn(page)
  await inRoom(page, 'dark')
  const dark = await foundOn(page, (axe) => axe.withRules(['color-contrast']))
  await inRoom(page, 'light')
  return [...light, ...dark.map((v) => `in the dark: ${v}`)]
}
