import { useDebounceFn } from '@vueuse/core'
import { ref, watch, type Ref } from 'vue'
import { http } from './http'
import { t } from './useText'

const AFTER_MS = 250

/** Asks the server, without doing anything. Resolves to the answer, or to what is wrong, by field. */
export async function ask<T>(
  method: 'post' | 'put',
  url: string,
  data: object,
): Promise<{ answer: T } | { errors: Record<string, string> }> {
  const answer = await http<T>(method, url, data)
  if (!answer) return { errors: { page: t('offline.text') } }
  return answer.ok ? { answer: answer.body } : { errors: answer.errors }
}

/** What a form would do, asked anew whenever it changes; `data` returns null while there is nothing to ask. */
export function usePreview<T>(
  method: 'post' | 'put',
  url: () => string,
  data: () => object | null,
): { preview: Ref<T | null>; problems: Ref<Record<string, string>>; again: () => unknown } {
  const preview = ref<T | null>(null) as Ref<T | null>
  const problems = ref<Record<string, string>>({})
  let asked = 0
  const look = useDebounceFn(async () => {
    const wanted = data()
    const turn = ++asked
    if (!wanted) {
      preview.value = null
      return
    }
    const result = await ask<T>(method, url(), wanted)
    if (turn !== asked) return
    preview.value = 'answer' in result ? result.answer : null
    problems.value = 'errors' in result ? result.errors : {}
  }, AFTER_MS)
  watch(() => JSON.stringify([url(), data()]), look, { immediate: true })
  return { preview, problems, again: look }
}
