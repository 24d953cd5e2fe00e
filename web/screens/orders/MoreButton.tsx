import { ActionIcon, type ActionIconProps } from '@mantine/core'
import { IconDots } from '@tabler/icons-react'
import type { ComponentPropsWithRef } from 'react'

/** What opens the menu of an order. */
export function MoreButton({
  title,
  ...props
}: { title: string } & ActionIconProps & ComponentPropsWithRef<'button'>) {
  return (
    <ActionIcon aria-label={`More for ${title}`} aria-haspopup="menu" {...props}>
      <IconDots size={20} stroke={1.6} />
    </ActionIcon>
  )
}
