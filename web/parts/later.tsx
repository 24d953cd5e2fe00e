import { type ComponentType, lazy, Suspense, useState } from 'react'

/**
 * A component that is fetched when it is first asked for, with nothing in its place until then: what opens over a
 * screen. From then on it stays, so that it closes as it should and gives the focus back.
 * @param asked whether these props ask for it.
 */
export function later<P extends object>(
  load: () => Promise<ComponentType<P>>,
  asked: (props: P) => boolean,
): ComponentType<P> {
  const Fetched = lazy(async () => ({ default: await load() }))
  return function Later(props: P) {
    const [wanted, setWanted] = useState(false)
    if (!wanted && asked(props)) setWanted(true)
    return wanted ? (
      <Suspense fallback={null}>
        <Fetched {...props} />
      </Suspense>
    ) : null
  }
}
