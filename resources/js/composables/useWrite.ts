import type { FormDataConvertible, VisitOptions } from '@inertiajs/core'
import { router } from '@inertiajs/vue3'
import { samePage } from './samePage'
import { newActionId } from './useActionForm'
import { orKeep } from '@/offline/orKeep'

type Data = Record<string, FormDataConvertible>

/** What was asked for and not answered yet: asked again, it goes out as it was, under the same id. */
const waiting = new Map<string, Data>()

/**
 * Writes from a button without a form of its own, once only: from the first press until the server has answered, pressing again sends the
 * very same, so that a lost answer does nothing twice.
 */
export function write(method: 'post' | 'put' | 'delete', url: string, data: Data = {}, options: VisitOptions = {}): void {
  // The time of the first press stays, whatever the clock says by now.
  const what = Object.entries(data).filter(([field]) => field !== 'date' && field !== 'time')
  const key = `${method} ${url} ${JSON.stringify(what)}`
  const sent = waiting.get(key) ?? { ...data, action_id: newActionId() }
  waiting.set(key, sent)
  const answered = () => waiting.delete(key)
  orKeep({
    method,
    url,
    data: () => sent,
    begin: (given) => router.visit(url, { ...given, method, data: sent }),
    options: {
      preserveScroll: samePage,
      ...options,
      onSuccess: (page) => {
        answered()
        return options.onSuccess?.(page)
      },
      onError: (errors) => {
        answered()
        return options.onError?.(errors)
      },
    },
    kept: answered,
  })
}

/** Puts a chain on a bike, at the moment that the page was drawn for. */
export function swap(bike: number, chain: number | null, at: { date: string; time: string }, options: VisitOptions = {}): void {
  write('post', `/bikes/${bike}/fittings`, { chain_id: chain, date: at.date, time: at.time }, options)
}
