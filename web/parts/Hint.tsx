import {
  cloneElement,
  type FocusEvent,
  lazy,
  type PointerEvent,
  type ReactElement,
  type Ref,
  Suspense,
  useRef,
  useState,
} from 'react'

const ShownHint = lazy(() => import('./ShownHint.tsx'))

interface Pointed {
  ref?: Ref<HTMLButtonElement>
  onPointerEnter?: (event: PointerEvent) => void
  onPointerLeave?: () => void
  onFocus?: (event: FocusEvent) => void
  onBlur?: () => void
}

/**
 * Says in words what a button of a picture alone does, to whoever points at it or comes to it by key. What shows the
 * words is fetched then; the button itself stays as it is, so that a press on it is never lost.
 */
export function Hint({ label, children }: { label: string; children: ReactElement<Pointed> }) {
  const [wanted, setWanted] = useState(false)
  const [shown, setShown] = useState(false)
  const button = useRef<HTMLButtonElement>(null)
  const show = () => {
    setWanted(true)
    setShown(true)
  }
  const hide = () => setShown(false)
  return (
    <>
      {cloneElement(children, {
        ref: button,
        // a finger does not hover
        onPointerEnter: (event) => event.pointerType === 'mouse' && show(),
        onPointerLeave: hide,
        onFocus: (event) => event.target.matches(':focus-visible') && show(),
        onBlur: hide,
      })}
      {wanted && (
        <Suspense>
          <ShownHint target={button} opened={shown} label={label} />
        </Suspense>
      )}
    </>
  )
}
