import type { Express } from 'express'
import { StartError } from './words.ts'

/** Listens. @returns how to stop it. @throws StartError when the port cannot be had. */
export function listen(app: Express, host: string, port: number): Promise<() => Promise<void>> {
  return new Promise((resolve, reject) => {
    const server = app.listen(port, host, (error?: NodeJS.ErrnoException) => {
      if (error) return reject(new StartError(trouble(error, host, port)))
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
