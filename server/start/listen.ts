import type { Express } from 'express'
import { StartError } from './words.ts'

/**
 * How long a line is kept open between two requests, ms. Longer than people pause while they type and than a proxy in front keeps
 * its own (a minute, as a rule): whoever closes first while the other is asking has a request fail that did nothing wrong.
 */
const KEEP_OPEN_MS = 75_000

/** Listens. @returns how to stop it. @throws StartError when the port cannot be had. */
export function listen(app: Express, host: string, port: number): Promise<() => Promise<void>> {
  return new Promise((resolve, reject) => {
    const server = app.listen(port, host, (error?: NodeJS.ErrnoException) => {
      if (error) return reject(new StartError(trouble(error, host, port)))
      server.keepAliveTimeout = KEEP_OPEN_MS
      // a head that is begun within that time may still be on its way
      server.headersTimeout = KEEP_OPEN_MS + 5_000
      resolve(
        () =>
          new Promise((closed) => {
            server.close(() => closed())
            server.closeAllConnections()
          }),
      )
    })
  })
}

function trouble(error: NodeJS.ErrnoException, host: string, port: number): string {
  switch (error.code) {
    case 'EADDRINUSE':
      return `Port ${port} is in use, perhaps by another Kanten. Stop it, or choose another port: PORT=${port + 1} npm run demo`
    case 'EACCES':
      return `Port ${port} needs rights that you do not have. Choose one above 1024.`
    case 'EADDRNOTAVAIL':
    case 'ENOTFOUND':
      return `This machine has no address ${host}. Correct HOST.`
    default:
      return `The server could not listen on port ${port}: ${error.message}`
  }
}
