import { Button, Group, Modal } from '@mantine/core'
import { useOrderEditor } from '../../data/orderEditor.tsx'
import css from './SaveWord.module.css'

/** Says in a word or two whether the order is saved, and asks when somebody else has saved it meanwhile. */
export function SaveWord(props: { reload: () => void }) {
  const { save, saveOver, forgetDraft } = useOrderEditor()
  const words = {
    saved: 'Saved',
    saving: 'Saving…',
    waiting: 'Not saved yet, trying again',
    conflict: 'Changed elsewhere',
    refused: 'Not saved',
  }[save.kind]
  return (
    <>
      <span role="status" className={css.word} data-trouble={save.kind !== 'saved' && save.kind !== 'saving'}>
        {words}
        {(save.kind === 'refused' || save.kind === 'waiting') && <small>{save.why}</small>}
      </span>
      <Modal
        opened={save.kind === 'conflict'}
        onClose={() => {}}
        withCloseButton={false}
        title="Somebody else has changed this order"
      >
        <p>It was saved from another place after you opened it here. Which one should stand?</p>
        <Group justify="flex-end" mt="md">
          <Button
            onClick={() => {
              forgetDraft()
              props.reload()
            }}
          >
            Theirs, drop my last changes
          </Button>
          <Button variant="filled" onClick={() => void saveOver()}>
            Mine, save over it
          </Button>
        </Group>
      </Modal>
    </>
  )
}
