import { Client } from 'pg'

/** An answer this young is still true; one that is older is given too, and looked after meanwhile, until it is too old. */
const FRESH_MS = 1000
const OLD_MS = 2500
/** A database that takes longer to say "1" is not up. */
const PATIENCE_MS = 1500

/** Asks the database whether it is there, on a line of its own, so that no queue of other work delays the answer. */
export class DatabaseWatch {
  readonly #url: string
  #client: Client | null = null
  #lastUp = Number.NEGATIVE_INFINITY
  #asking: Promise<boolean> | null = null

  constructor(url: string) {
    this.#url = url
  }

  /** Whether the database answered within the last moments, or does now. Never rejects. */
  isUp(): Promise<boolean> {
    const age = performance.now() - this.#lastUp
    if (age < FRESH_MS) return Promise.resolve(true)
    this.#asking ??= this.#ask().finally(() => {
      this.#asking = null
    })
    return age < OLD_MS ? Promise.resolve(true) : this.#asking
  }

  async close(): Promise<void> {
    await this.#client?.end().catch(() => undefined)
    this.#client = null
  }

  async #ask(): Promise<boolean> {
    try {
      await timely((await this.#connected()).query('select 1'))
      this.#lastUp = performance.now()
      return true
    } catch {
      this.#lastUp = Number.NEGATIVE_INFINITY
      const lost = this.#client
      this.#client = null
      void lost?.end().catch(() => undefined)
      return false
    }
  }

  async #connected(): Promise<Client> {
    if (this.#client) return this.#client
    const client = new Client({ connectionString: this.#url, connectionTimeoutMillis: PATIENCE_MS })
    // a line that breaks between two questions is noticed by the next one
    client.on('error', () => {
      if (this.#client === client) this.#client = null
    })
    this.#client = client
    await timely(client.connect())
    return client
  }
}

function timely<T>(work: Promise<T>): Promise<T> {
  let timer: NodeJS.Timeout | undefined
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new Error('late')), PATIENCE_MS)
  })
  work.catch(() => undefined)
  return Promise.race([work, late]).finally(() => clearTimeout(timer))
}
