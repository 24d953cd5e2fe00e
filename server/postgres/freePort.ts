import { createServer } from 'node:net'

/** A port on loopback that nobody listens on just now. */
export function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', reject)
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address()
      probe.close(() =>
        address && typeof address === 'object' ? resolve(address.port) : reject(new Error('no port')),
      )
    })
  })
}
