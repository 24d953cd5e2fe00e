import '@fontsource-variable/bricolage-grotesque'
import '@fontsource-variable/hanken-grotesk'
import './theme/mantine.ts'
import '@mantine/dates/styles.css'
import '@mantine/notifications/styles.css'
import './theme/global.css'
import './theme/targets.css'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { App } from './App.tsx'

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <App />
  </StrictMode>,
)
