import { hostname, networkInterfaces } from 'node:os'
import type { RequestHandler } from 'express'
import { ProblemError } from './problems.ts'

/** Names that lead to this machine and to no other, whatever a name server says. */
export const LOOPBACK = new Set(['127.0.0.1', '::1', 'localhost'])

/** Names under which Kanten may be asked for, with the scheme that a browser uses for each. */
export type Hosts = ReadonlyMap<string, 'http' | 'https'>

/**
 * Loopback names always; this machine's own names and addresses when it listens to a network; and what `listed` adds,
 * each a name or a whole origin such as `https://kanten.example`.
 */
export function allowedHosts(listensOn: string, listed: readonly string[]): Hosts {
  const hosts = new Map<string, 'http' | 'https'>([...LOOPBACK].map((name) => [name, 'http']))
  if (!LOOPBACK.has(listensOn)) {
    const own = Object.values(networkInterfaces()).flatMap((list) => list ?? [])
    for (const name of [listensOn, hostname(), `${hostname()}.local`, ...own.map((o) => o.address)])
      hosts.set(name.toLowerCase(), 'http')
  }
  for (const entry of listed) {
    const url = new URL(entry.includes('://') ? entry : `http://${entry}`)
    hosts.set(bare(url.hostname), url.protocol === 'https:' ? 'https' : 'http')
  }
  return hosts
}

/** A host name without port, and an IPv6 address without its brackets. */
function bare(host: string): string {
  return host
    .toLowerCase()
    .replace(/:\d+$/, '')
    .replace(/^\[(.*)\]$/, '$1')
}

/**
 * Refuses what was not meant for this server: a foreign name that leads here (a page elsewhere can point its own name at
 * this machine and would then count as "same origin"), and anything that another site's page asks of the API.
 */
export function onlyForUs(hosts: Hosts): RequestHandler {
  return (req, _res, next) => {
    const host = req.get('Host') ?? ''
    const scheme = hosts.get(bare(host))
    if (!scheme)
      throw new ProblemError(
        421,
        'wrong-host',
        'Not under this name',
        'Kanten does not answer to this name. If it should, add the name to KANTEN_HOSTS and start it again.',
      )
    if (!req.path.startsWith('/api')) return next()
    const site = req.get('Sec-Fetch-Site')
    const origin = req.get('Origin')
    const foreign = site === 'cross-site' || site === 'same-site'
    if (foreign || (origin !== undefined && origin.toLowerCase() !== `${scheme}://${host.toLowerCase()}`))
      throw new ProblemError(403, 'from-elsewhere', 'From elsewhere', 'Only Kanten’s own pages may ask this.')
    next()
  }
}
