import { useHotkeys } from '@mantine/hooks'
import { useState } from 'react'
import { later } from '../parts/later.tsx'
import css from './Find.module.css'

const isOpened = ({ opened }: { opened: boolean }) => opened
// nobody needs it before it is asked for
const Palette = later(async () => (await import('./Palette.tsx')).Palette, isOpened)
const Keys = later(async () => (await import('./Keys.tsx')).Keys, isOpened)

/** The way to anything by its name, in the bar and by Ctrl K; and by ? what the keys do. */
export function Find() {
  const [opened, setOpened] = useState(false)
  const [keys, setKeys] = useState(false)
  const open = () => setOpened(true)
  useHotkeys([
    ['mod+K', open],
    ['shift+?', () => setKeys(true)],
  ])
  return (
    <>
      <button type="button" className={css.find} onClick={open} aria-keyshortcuts="Control+K">
        Find <kbd>Ctrl K</kbd>
      </button>
      <Palette opened={opened} onClose={() => setOpened(false)} />
      <Keys opened={keys} onClose={() => setKeys(false)} />
    </>
  )
}
