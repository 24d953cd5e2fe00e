import { ActionIcon } from '@mantine/core'
import { IconArrowBackUp, IconArrowForwardUp } from '@tabler/icons-react'
import { memo } from 'react'
import { Hint } from './Hint.tsx'

/** One step back and forth, said by what it undoes where that is known. */
export const UndoButtons = memo(function UndoButtons(props: {
  undo: (() => void) | null
  redo: (() => void) | null
  undoLabel?: string | null
  redoLabel?: string | null
}) {
  const { undo, redo, undoLabel, redoLabel } = props
  const of = (label: string | null | undefined) => (label ? `: ${label}` : '')
  return (
    <>
      <Hint label={undo ? `Undo${of(undoLabel)} (Ctrl Z)` : 'Nothing to undo'}>
        <ActionIcon aria-label="Undo" disabled={!undo} onClick={() => undo?.()}>
          <IconArrowBackUp size={20} stroke={1.6} />
        </ActionIcon>
      </Hint>
      <Hint label={redo ? `Redo${of(redoLabel)} (Ctrl Y)` : 'Nothing to redo'}>
        <ActionIcon aria-label="Redo" disabled={!redo} onClick={() => redo?.()}>
          <IconArrowForwardUp size={20} stroke={1.6} />
        </ActionIcon>
      </Hint>
    </>
  )
})
