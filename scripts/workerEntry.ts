import type { Plugin } from 'vite'

/** What cannot be so much as read where there is no document. */
const DRAWS = /[\\/]react-dom[\\/]|[\\/]web[\\/]main\.tsx/

/** How a page fetches ahead what a file of its own will ask for. */
const FETCHES_AHEAD = /__vite__mapDeps\(\[\d/

/**
 * Builds a worker as one more entry of the page's build, so that page and worker share what both compute with. By
 * itself the builder makes a second build for workers, with a second copy of the model. Fails the build when a worker
 * would come to what draws, or to what fetches ahead in a document.
 * @param worker the worker's module.
 * @param hirer the module that starts it; it must name the worker by `place`.
 * @param place the expression that the builder's own worker build looks for, and that is replaced.
 */
export function workerEntry(worker: string, hirer: string, place: string): Plugin {
  let entry = ''
  return {
    name: 'worker-entry',
    apply: 'build',
    enforce: 'pre',
    buildStart() {
      entry = this.emitFile({ type: 'chunk', id: worker, name: 'kitchen' })
    },
    transform(code, id) {
      if (id !== hirer) return null
      if (!code.includes(place)) this.error(`${hirer} does not start a worker by ${place}.`)
      return code.replace(place, `import.meta.ROLLUP_FILE_URL_${entry}`)
    },
    // when everything about the files is settled
    writeBundle(_, bundle) {
      const reached = [this.getFileName(entry)]
      for (const name of reached) {
        const chunk = bundle[name]
        if (chunk?.type !== 'chunk') continue
        const draws =
          Object.keys(chunk.modules).find((id) => DRAWS.test(id)) ?? FETCHES_AHEAD.exec(chunk.code)?.[0]
        if (draws) this.error(`A worker would come to ${draws}, by ${name}, and it has no document.`)
        reached.push(...[...chunk.imports, ...chunk.dynamicImports].filter((next) => !reached.includes(next)))
      }
    },
  }
}
