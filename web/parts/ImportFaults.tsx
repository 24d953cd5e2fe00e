import { Modal } from '@mantine/core'
import type { Problem } from '#contract/problem'
import css from './ImportFaults.module.css'

/** Why a file was refused: every fault with the place it is at. */
export function ImportFaults(props: {
  refused: { file: string; problem: Problem } | null
  close: () => void
}) {
  const { refused } = props
  return (
    <Modal opened={refused !== null} onClose={props.close} title="This file was not taken in" size="lg">
      <p>
        Nothing of <strong>{refused?.file}</strong> was imported.{' '}
        {refused?.problem.errors ? 'Mend these places and try again:' : refused?.problem.detail}
      </p>
      {refused?.problem.errors && (
        <ul className={css.list}>
          {refused.problem.errors.map((fault) => (
            <li key={`${fault.pointer} ${fault.detail}`}>
              <code>{fault.pointer || '/'}</code>
              <span>{fault.detail}</span>
            </li>
          ))}
        </ul>
      )}
    </Modal>
  )
}
