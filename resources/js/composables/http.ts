/** What the server answered; `errors` by field, the first of each. */
export interface Answer<T> {
  ok: boolean
  status: number
  body: T
  errors: Record<string, string>
}

type Method = 'get' | 'post' | 'put'

/** The cookie with which the server knows that the question came from its own page. */
const token = () => decodeURIComponent(/(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? '')

/** Asks the server and waits for its answer in JSON; null: it cannot be reached. The one place that does, besides the pages. */
export async function http<T>(method: Method, url: string, data?: object | FormData): Promise<Answer<T> | null> {
  const form = data instanceof FormData
  try {
    const response = await fetch(url, {
      method: method.toUpperCase(),
      headers: {
        Accept: 'application/json',
        ...(method === 'get' ? {} : { 'X-XSRF-TOKEN': token() }),
        ...(data === undefined || form ? {} : { 'Content-Type': 'application/json' }),
      },
      body: data === undefined ? undefined : form ? data : JSON.stringify(data),
    })
    // What was only taken is answered with nothing.
    const body = JSON.parse((await response.text()) || '{}') as T & { errors?: Record<string, string[]>; message?: string }
    const errors = response.ok ? {} : (body.errors ?? { page: [body.message ?? response.statusText] })
    return {
      ok: response.ok,
      status: response.status,
      body,
      errors: Object.fromEntries(Object.entries(errors).map(([field, texts]) => [field, texts[0] ?? ''])),
    }
  } catch {
    return null
  }
}
