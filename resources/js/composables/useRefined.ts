import { useDebounceFn } from '@vueuse/core'
import { onScopeDispose, ref, watch, type Ref } from 'vue'
import { httpLines } from './http'
import { t } from './useText'

const AFTER_MS = 250

/**
 * Something that the server works out better and better, asked anew whenever the form changes: what came first is shown at once, and it can
 * be stopped where it is good enough.
 */
export function useRefined<T>(
  url: string,
  data: () => object,
  begin: () => void,
  take: (part: T) => void,
): { underWay: Ref<boolean>; problems: Ref<Record<string, string>>; stop: () => void; again: () => unknown } {
  const underWay = ref(false)
  const problems = ref<Record<string, string>>({})
  let listening: AbortController | null = null
  function stop(): void {
    listening?.abort()
    listening = null
    underWay.value = false
  }
  async function ask(): Promise<void> {
    stop()
    const mine = (listening = new AbortController())
    underWay.value = true
    let first = true
    const wrong = await httpLines<T>('post', url, data(), mine.signal, (part) => {
      if (mine.signal.aborted) return
      if (first) begin()
      first = false
      take(part)
    })
    if (mine.signal.aborted) return
    problems.value = wrong ?? { page: t('offline.text') }
    underWay.value = false
  }
  watch(() => JSON.stringify(data()), useDebounceFn(ask, AFTER_MS))
  void ask()
  onScopeDispose(stop)
  return { underWay, problems, stop, again: ask }
}
