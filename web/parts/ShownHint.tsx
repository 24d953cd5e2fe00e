import { Tooltip } from '@mantine/core'
import type { RefObject } from 'react'

/** The words of a hint beside their button. */
export default function ShownHint(props: {
  target: RefObject<HTMLButtonElement | null>
  opened: boolean
  label: string
}) {
  return <Tooltip {...props} />
}
