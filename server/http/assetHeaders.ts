import type { ServerResponse } from 'node:http'
import { basename } from 'node:path'

/** What a browser heeds with a page alone: with a script, a style or a font it is a third of a small answer. */
const OF_A_PAGE = [
  'Content-Security-Policy',
  'Cross-Origin-Opener-Policy',
  'Origin-Agent-Cluster',
  'Referrer-Policy',
  'X-DNS-Prefetch-Control',
  'X-Download-Options',
  'X-Frame-Options',
  'X-Permitted-Cross-Domain-Policies',
  'X-XSS-Protection',
]

/** A worker is held to the policy that comes with its own file. */
const WORKER = /^kitchen-/

/** Takes from a file of the built interface the headers that only a page has a use for. */
export function plainAsset(res: ServerResponse, path: string): void {
  const name = basename(path)
  if (WORKER.test(name) || !/\.(?:js|mjs|css|woff2)(?:\.br|\.gz)?$/.test(name)) return
  for (const header of OF_A_PAGE) res.removeHeader(header)
}
