import { useMantineColorScheme } from '@mantine/core'
import { useEffect } from 'react'
import type { Tablet } from '../../bench/tablet.ts'
import { useWorkshop } from '../../data/workshop.ts'

/** The room and the type of this tablet, as long as the bench is open on it; elsewhere the bakery's settings hold. */
export function useRoom({ room, large }: Tablet): void {
  const settings = useWorkshop().workshop?.settings
  const { colorScheme } = useMantineColorScheme()
  // biome-ignore lint/correctness/useExhaustiveDependencies: whenever the theme is set from elsewhere, this tablet's own is set after it
  useEffect(() => {
    const root = document.documentElement
    const before = root.dataset.mantineColorScheme
    if (room !== 'bakery') root.dataset.mantineColorScheme = room
    root.toggleAttribute('data-large-type', large || (settings?.largeType ?? false))
    return () => {
      if (before) root.dataset.mantineColorScheme = settings?.theme ?? before
      root.toggleAttribute('data-large-type', settings?.largeType ?? false)
    }
  }, [room, large, settings?.theme, settings?.largeType, colorScheme])
}
