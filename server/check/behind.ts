import { constants, setPriority } from 'node:os'
import { isMainThread } from 'node:worker_threads'

/**
 * Puts the calling thread behind the one that answers requests, where the machine has too little for both: what is done
 * beside it may take long, what is asked of it may not. No further behind than that: a browser on the same machine must not
 * starve it. Elsewhere than on Linux this would slow the whole process down.
 */
export function standBehind(): void {
  if (!isMainThread && process.platform === 'linux') setPriority(0, constants.priority.PRIORITY_BELOW_NORMAL)
}
