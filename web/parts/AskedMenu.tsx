import { Menu, type MenuProps } from '@mantine/core'
import {
  cloneElement,
  type MouseEvent,
  type ReactElement,
  type ReactNode,
  type Ref,
  useEffect,
  useRef,
  useState,
} from 'react'

/**
 * A menu under a button. It is made when its button is first pressed, and opened at once: a screen of many rows has many of
 * them, and few are ever opened. What the button does by itself, it does at every press.
 */
export function AskedMenu(props: {
  button: ReactElement<{
    onClick?: (event: MouseEvent<HTMLButtonElement>) => void
    ref?: Ref<HTMLButtonElement>
    'aria-haspopup'?: 'menu'
  }>
  position: MenuProps['position']
  /** Its button has been pressed already. */
  pressed?: boolean
  /** It stays where its button is covered. */
  staysCovered?: boolean
  children: ReactNode
}) {
  const { button, position, pressed = false, staysCovered = false } = props
  const [asked, setAsked] = useState(pressed)
  const [opened, setOpened] = useState(false)
  const target = useRef<HTMLButtonElement>(null)
  useEffect(() => {
    if (!asked) return
    // it stands where the pressed one stood, and gets the focus back when it closes
    target.current?.focus()
    setOpened(true)
  }, [asked])
  if (!asked)
    return cloneElement(button, {
      onClick: (event) => {
        button.props.onClick?.(event)
        setAsked(true)
      },
      'aria-haspopup': 'menu',
    })
  return (
    <Menu
      position={position}
      hideDetached={!staysCovered}
      opened={opened}
      onChange={setOpened}
      // given back at once: later, it would be taken from the field that somebody types into meanwhile
      returnFocus={false}
      onClose={() => {
        if (isInMenu(document.activeElement)) target.current?.focus({ preventScroll: true })
      }}
    >
      <Menu.Target>{cloneElement(button, { ref: target })}</Menu.Target>
      <Menu.Dropdown mah={360} style={{ overflowY: 'auto' }}>
        {props.children}
      </Menu.Dropdown>
    </Menu>
  )
}

/** What was chosen may have put the focus where it goes on: there it stays. */
const isInMenu = (focused: Element | null): boolean =>
  !focused || focused === document.body || focused.closest('[role=menu]') !== null
