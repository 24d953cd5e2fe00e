import { cloneElement, type ReactElement, type ReactNode, Suspense, useState } from 'react'

/**
 * The button of a menu that is fetched, with all that menus are made of, when it is first pressed.
 * @param button shown until then, and while the menu is on its way.
 * @param children the fetched menu, which opens at once.
 */
export function LaterMenu(props: {
  button: ReactElement<{ onClick?: () => void; 'aria-haspopup'?: 'menu' }>
  children: ReactNode
}) {
  const { button } = props
  const [asked, setAsked] = useState(false)
  if (!asked) return cloneElement(button, { onClick: () => setAsked(true), 'aria-haspopup': 'menu' })
  return <Suspense fallback={button}>{props.children}</Suspense>
}
