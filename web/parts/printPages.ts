import { offerFile } from './offer.ts'

/** Opens pages of SVG in a frame of their own and asks the browser to print them at true size. */
export function printPages(pages: readonly string[], title: string): void {
  const frame = document.createElement('iframe')
  frame.title = title
  frame.style.cssText = 'position:fixed;width:0;height:0;border:0'
  document.body.append(frame)
  const inside = frame.contentDocument!
  const style = inside.createElement('style')
  style.textContent = '@page{size:A4;margin:0}body{margin:0}svg{display:block;page-break-after:always}'
  inside.head.append(style)
  for (const page of pages)
    inside.body.append(new DOMParser().parseFromString(page, 'image/svg+xml').documentElement)
  frame.contentWindow!.addEventListener('afterprint', () => frame.remove())
  frame.contentWindow!.print()
}

/** Offers pages as SVG files, one each. */
export function savePages(pages: readonly string[], name: string): void {
  pages.forEach((page, i) => {
    const numbered = `${name}${pages.length > 1 ? `-${i + 1}` : ''}.svg`
    offerFile(new Blob([page], { type: 'image/svg+xml' }), numbered)
  })
}
