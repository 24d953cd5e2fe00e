import { Button } from '@mantine/core'
import { notifications } from '@mantine/notifications'

/** Says once, not in passing, what of a file came in under another id, and why. Stays over a change of screen. */
export function showNotes(notes: readonly string[]): void {
  if (notes.length === 0) return
  const id = notifications.show({
    color: 'ink',
    autoClose: false,
    withCloseButton: false,
    title: 'Taken in, with a difference',
    message: (
      <>
        {notes.map((note) => (
          <p key={note}>{note}</p>
        ))}
        <Button variant="filled" mt="xs" onClick={() => notifications.hide(id)}>
          Understood
        </Button>
      </>
    ),
  })
}
