import type { Problem } from '#contract/problem'
import { askForPassphrase } from './session.ts'

/** An answer that was not the one wanted; the problem document says why and where. */
export class ApiError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail)
  }
}

/** The server could not be reached at all. */
export class OfflineError extends Error {
  constructor() {
    super('Kanten’s server does not answer. Your changes are kept here until it does.')
  }
}

/** What browsers send for a page that is gone: 64 kB, and letters may take more than one. */
const MOST_KEPT_ALIVE = 30_000

interface Call {
  method?: 'GET' | 'POST' | 'PUT' | 'DELETE'
  body?: unknown
  /** A file sent as it is, in the place of a body. */
  file?: Blob
  /** Version last seen, sent as If-Match. */
  version?: number
}

/**
 * One call of the API. @throws ApiError with the problem document, OfflineError when nothing answers.
 */
export async function api<T>(path: string, call: Call = {}): Promise<T> {
  const response = await answerOf(path, call)
  return (response.status === 204 ? undefined : await response.json()) as T
}

/** As `api`, where the answer is no JSON. */
export async function answerOf(
  path: string,
  { method = 'GET', body, file, version }: Call = {},
): Promise<Response> {
  const headers: Record<string, string> = {}
  if (body !== undefined) headers['Content-Type'] = 'application/json'
  if (file) headers['Content-Type'] = 'application/octet-stream'
  if (version !== undefined) headers['If-Match'] = `"${version}"`
  const text = body === undefined || typeof body === 'string' ? body : JSON.stringify(body)
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers,
      // a change that is sent while the page is left still arrives
      keepalive: method === 'PUT' && (text?.length ?? 0) < MOST_KEPT_ALIVE,
      ...(file ? { body: file } : {}),
      ...(text === undefined ? {} : { body: text }),
    })
  } catch {
    throw new OfflineError()
  }
  if (!response.ok) {
    const problem = await readProblem(response)
    if (response.status === 401) askForPassphrase()
    throw new ApiError(problem)
  }
  return response
}

async function readProblem(response: Response): Promise<Problem> {
  const said: unknown = await response.json().catch(() => null)
  // seldom needed, and the schemas weigh more than all the rest of a first visit
  const schema = await import('#contract/problem').then(
    (m) => m.problemSchema,
    () => null,
  )
  const parsed = schema?.safeParse(said)
  if (parsed?.success) return parsed.data
  return {
    type: 'about:blank',
    code: 'failed',
    title: 'The server failed',
    status: response.status,
    detail: `The server answered ${response.status}. Nothing was changed; try again.`,
  }
}
