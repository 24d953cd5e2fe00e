import type { ScaleDriver } from './driver.ts'

/** What kitchen scales with a serial line are set to as they come: 9,600 baud, eight bits, no parity, one stop bit. */
const BAUD = 9600
/** Scales that can be tared over the line take this. */
const TARE = new TextEncoder().encode('T\r\n')

/** A real scale on a serial or USB port, through the browser. */
export const serialDriver: ScaleDriver = {
  id: 'serial',
  name: 'Kitchen scale on a cable',
  isHere: () => 'serial' in navigator,
  async open(hear, gone) {
    let port: SerialPort
    try {
      port = (await navigator.serial.getPorts())[0] ?? (await navigator.serial.requestPort())
    } catch {
      throw new Error('No scale was chosen. Plug it in and choose it in the browser’s list.')
    }
    try {
      await port.open({ baudRate: BAUD })
    } catch {
      throw new Error(
        'The scale’s port could not be opened. Another program may hold it: close that one first.',
      )
    }
    let closing = false
    const { readable } = port
    const reader = readable?.getReader()
    const text = new TextDecoder()
    void (async () => {
      try {
        for (;;) {
          const piece = await reader?.read()
          if (!piece || piece.done) break
          hear(text.decode(piece.value, { stream: true }))
        }
      } catch {
        // told below, like an end without an error
      }
      if (!closing) gone('The scale does not answer any more. Is it plugged in, and switched on?')
    })()
    return {
      async tare() {
        const writer = port.writable?.getWriter()
        await writer?.write(TARE)
        writer?.releaseLock()
      },
      close() {
        closing = true
        void (async () => {
          await reader?.cancel().catch(() => undefined)
          reader?.releaseLock()
          await port.close().catch(() => undefined)
        })()
      },
    }
  },
}
