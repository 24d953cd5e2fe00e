import { Button, Menu } from '@mantine/core'
import { layPages } from '#core/guides/page'
import { practiceStamp } from '#core/guides/practice'
import type { Ideal } from '#core/practice/ideal'
import { AskedMenu } from '../../parts/AskedMenu.tsx'
import { tell } from '../../parts/notify.tsx'
import { printPages, savePages } from '../../parts/printPages.ts'

/** The drill on paper, at true size, to lie under parchment. */
export function PrintSheet({ ideal }: { ideal: Ideal }) {
  const { label, id } = ideal.drill
  const pages = (then: (made: string[]) => void) => () => {
    try {
      then(layPages([practiceStamp(ideal)], `Practice: ${label}`))
    } catch (failed) {
      tell((failed as Error).message)
    }
  }
  return (
    <AskedMenu position="bottom-end" button={<Button>Print to lie under parchment</Button>}>
      <Menu.Item onClick={pages((made) => printPages(made, label))}>Print at true size</Menu.Item>
      <Menu.Item onClick={pages((made) => savePages(made, `practice-${id.replaceAll('/', '-')}`))}>
        Save as SVG
      </Menu.Item>
    </AskedMenu>
  )
}
