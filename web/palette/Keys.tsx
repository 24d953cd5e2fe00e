import { Modal } from '@mantine/core'
import css from './Find.module.css'
import { KEYS } from './keys.ts'

/** What the keys do, screen by screen. */
export function Keys(props: { opened: boolean; onClose: () => void }) {
  return (
    <Modal {...props} title="Keys" size="lg">
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
  )
}
