import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'

const require = createRequire(import.meta.url)

/** Beside the packages, as other tools keep what they work out from them; wherever a thread's own file lies. */
export const CACHE = join(dirname(require.resolve('express/package.json')), '..', '.cache')
