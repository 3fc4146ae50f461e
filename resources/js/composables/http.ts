/** What the server answered; `errors` by field, the first of each. */
export interface Answer<T> {
  ok: boolean
  status: number
  body: T
  errors: Record<string, string>
}

const KEPT_ALIVE = 60_000

type Method = 'get' | 'post' | 'put' | 'delete'

/** The cookie with which the server knows that the question came from its own page. */
const token = () => decodeURIComponent(/(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? '')

/** More headers, and after how long without an answer the network counts as gone. */
export interface How {
  headers?: Record<string, string>
  timeoutMs?: number
}

/** What every question of ours carries. */
const headers = (method: Method, json: boolean, more?: Record<string, string>): Record<string, string> => ({
  Accept: 'application/json',
  ...(method === 'get' ? {} : { 'X-XSRF-TOKEN': token() }),
  ...(json ? { 'Content-Type': 'application/json' } : {}),
  ...more,
})

async function answerOf<T>(response: Response): Promise<Answer<T>> {
  // What was only taken is answered with nothing.
  const said = JSON.parse((await response.text()) || '{}') as T & { errors?: Record<string, string[]>; message?: string }
  const errors = response.ok ? {} : (said.errors ?? { page: [said.message ?? response.statusText] })
  return {
    ok: response.ok,
    status: response.status,
    body: said,
    errors: Object.fromEntries(Object.entries(errors).map(([field, texts]) => [field, texts[0] ?? ''])),
  }
}

/** Asks the server and waits for its answer in JSON; null: it cannot be reached. The one place that does, besides the pages. */
export async function http<T>(method: Method, url: string, data?: object | FormData, how: How = {}): Promise<Answer<T> | null> {
  const form = data instanceof FormData
  const body = data === undefined ? undefined : form ? data : JSON.stringify(data)
  try {
    const response = await fetch(url, {
      method: method.toUpperCase(),
      headers: headers(method, data !== undefined && !form, how.headers),
      body,
      signal: how.timeoutMs === undefined ? undefined : AbortSignal.timeout(how.timeoutMs),
      // What was tapped last arrives also when the page is left at once; browsers take no more than 64 kB so.
      keepalive: method !== 'get' && typeof body === 'string' && body.length < KEPT_ALIVE,
    })
    return await answerOf<T>(response)
  } catch {
    return null
  }
}

/** An answer that comes line by line, each taken as it comes; what is wrong, by field; null: it cannot be reached, or was stopped. */
export async function httpLines<T>(
  method: Method,
  url: string,
  data: object | undefined,
  signal: AbortSignal,
  take: (part: T) => void,
): Promise<Record<string, string> | null> {
  try {
    const response = await fetch(url, {
      method: method.toUpperCase(),
      headers: headers(method, data !== undefined),
      body: data && JSON.stringify(data),
      signal,
    })
    if (!response.ok || !response.body) return (await answerOf(response)).errors
    const reader = response.body.pipeThrough(new TextDecoderStream()).getReader()
    for (let rest = ''; ;) {
      const { done, value } = await reader.read()
      if (done) return {}
      const lines = (rest + value).split('\n')
      rest = lines.pop() ?? ''
      for (const line of lines) take(JSON.parse(line) as T)
    }
  } catch {
    return null
  }
}
