import { modals } from '@mantine/modals'

/** Says once, not in passing, what of a file came in under another id, and why. Stays over a change of screen. */
export function showNotes(notes: readonly string[]): void {
  if (notes.length === 0) return
  modals.openConfirmModal({
    title: 'Taken in, with a difference',
    children: notes.map((note) => <p key={note}>{note}</p>),
    labels: { confirm: 'Understood', cancel: '' },
    cancelProps: { display: 'none' },
    confirmProps: { variant: 'filled' },
  })
}
