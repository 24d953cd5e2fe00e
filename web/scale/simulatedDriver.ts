import { SIMULATED_SCALE } from '#contract/scale'
import type { ScaleDriver } from './driver.ts'

/** The scale that ships with Kanten: `npm run scale` on this machine. */
export const simulatedDriver: ScaleDriver = {
  id: 'simulated',
  name: 'Simulated scale',
  isHere: () => true,
  open: (hear, gone) =>
    new Promise((resolve, reject) => {
      const lines = new EventSource(`${SIMULATED_SCALE}/lines`)
      let open = false
      lines.onopen = () => {
        open = true
        resolve({
          async tare() {
            await fetch(`${SIMULATED_SCALE}/tare`, { method: 'POST' })
          },
          close: () => lines.close(),
        })
      }
      lines.onmessage = ({ data }: MessageEvent<string>) => hear(`${data}\n`)
      lines.onerror = () => {
        lines.close()
        if (open) gone('The scale does not answer any more. Is it plugged in?')
        else reject(new Error('No simulated scale on this machine. Start it with “npm run scale”.'))
      }
    }),
}
