import { MantineProvider } from '@mantine/core'
import { Notifications } from '@mantine/notifications'
import { useEffect } from 'react'
import { RouterProvider } from 'react-router/dom'
import { SWRConfig } from 'swr'
import { useWorkshop } from './data/workshop.ts'
import { router } from './router.tsx'
import { roomVariables, theme } from './theme/theme.ts'

/** Theme, data and addresses around every screen. */
export function App() {
  return (
    <SWRConfig value={{ revalidateOnFocus: true, shouldRetryOnError: true, errorRetryInterval: 4000 }}>
      <Themed />
    </SWRConfig>
  )
}

function Themed() {
  const settings = useWorkshop().workshop?.settings
  const large = settings?.largeType ?? false
  useEffect(() => {
    document.documentElement.toggleAttribute('data-large-type', large)
  }, [large])
  return (
    <MantineProvider
      theme={theme}
      cssVariablesResolver={roomVariables}
      forceColorScheme={settings?.theme ?? 'light'}
    >
      <Notifications position="bottom-center" />
      <RouterProvider router={router} />
    </MantineProvider>
  )
}
