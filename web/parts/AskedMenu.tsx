import { Menu, type MenuProps } from '@mantine/core'
import { cloneElement, type ReactElement, type ReactNode, type Ref, useEffect, useRef, useState } from 'react'

/**
 * A menu that is made when its button is first pressed, and opened at once: a screen of many rows has many of them, and
 * few are ever opened.
 */
export function AskedMenu(props: {
  button: ReactElement<{ onClick?: () => void; ref?: Ref<HTMLButtonElement>; 'aria-haspopup'?: 'menu' }>
  position: MenuProps['position']
  /** Its button has been pressed already. */
  pressed?: boolean
  children: ReactNode
}) {
  const { button, position, pressed = false } = props
  const [asked, setAsked] = useState(pressed)
  const [opened, setOpened] = useState(false)
  const target = useRef<HTMLButtonElement>(null)
  useEffect(() => {
    if (!asked) return
    // it stands where the pressed one stood, and gets the focus back when it closes
    target.current?.focus()
    setOpened(true)
  }, [asked])
  if (!asked) return cloneElement(button, { onClick: () => setAsked(true), 'aria-haspopup': 'menu' })
  return (
    <Menu
      position={position}
      opened={opened}
      onChange={setOpened}
      // given back at once: later, it would be taken from the field that somebody types into meanwhile
      returnFocus={false}
      onClose={() => target.current?.focus({ preventScroll: true })}
    >
      <Menu.Target>{cloneElement(button, { ref: target })}</Menu.Target>
      <Menu.Dropdown mah={360} style={{ overflowY: 'auto' }}>
        {props.children}
      </Menu.Dropdown>
    </Menu>
  )
}
