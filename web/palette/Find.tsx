import { Modal } from '@mantine/core'
import { useHotkeys } from '@mantine/hooks'
import { lazy, Suspense, useState } from 'react'
import css from './Find.module.css'
import { KEYS } from './keys.ts'

// nobody needs it before it is asked for
const Palette = lazy(() => import('./Palette.tsx'))

/** The way to anything by its name, in the bar and by Ctrl K; and by ? what the keys do. */
export function Find() {
  const [asked, setAsked] = useState(false)
  const [opened, setOpened] = useState(false)
  const [keys, setKeys] = useState(false)
  const open = () => {
    setAsked(true)
    setOpened(true)
  }
  useHotkeys([
    ['mod+K', open],
    ['shift+?', () => setKeys(true)],
  ])
  return (
    <>
      <button type="button" className={css.find} onClick={open} aria-keyshortcuts="Control+K">
        Find <kbd>Ctrl K</kbd>
      </button>
      {asked && (
        <Suspense fallback={null}>
          <Palette opened={opened} onClose={() => setOpened(false)} />
        </Suspense>
      )}
      <Modal opened={keys} onClose={() => setKeys(false)} title="Keys" size="lg">
        <dl className={css.keys}>
          {KEYS.map(({ where, keys: of }) => (
            <div key={where}>
              <dt>{where}</dt>
              {of.map(([key, does]) => (
                <dd key={key}>
                  <kbd>{key}</kbd> {does}
                </dd>
              ))}
            </div>
          ))}
        </dl>
      </Modal>
    </>
  )
}
