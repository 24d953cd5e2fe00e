import { Button, Group, Modal } from '@mantine/core'

/** What of a file came in under another id, and why: said once, not in passing. */
export function ImportNotes(props: { notes: readonly string[]; close: () => void }) {
  return (
    <Modal opened={props.notes.length > 0} onClose={props.close} title="Taken in, with a difference">
      {props.notes.map((note) => (
        <p key={note}>{note}</p>
      ))}
      <Group justify="flex-end" mt="md">
        <Button variant="filled" onClick={props.close}>
          Understood
        </Button>
      </Group>
    </Modal>
  )
}
