import { usePage } from '@inertiajs/vue3'
import { useDocumentVisibility, useIntervalFn } from '@vueuse/core'
import { ref, watch, type Ref } from 'vue'
import { useHere } from './useHere'
import { http } from './http'
import { renewPage } from './renewPage'
import { answers, offline } from '@/offline/reach'

const EVERY_MS = 15_000
const GONE_AFTER_MS = 5000

/** Asks now and then whether the workshop has moved on since this page was made. */
export function useRevision(): Ref<boolean> {
  const here = useHere()
  const moved = ref(false)
  const visibility = useDocumentVisibility()
  async function ask(): Promise<void> {
    if (visibility.value !== 'visible') return
    const shown = here.value.revision
    // Without the server there is nothing to compare with; the next question will tell.
    const answer = await http<{ revision: number }>('get', '/revision', undefined, { timeoutMs: GONE_AFTER_MS })
    offline.value = answer === null && !(await answers())
    // A page that this device kept is of no more use.
    if (answer?.ok && usePage().props.kept) renewPage()
    if (answer?.ok) moved.value = answer.body.revision > shown && shown === here.value.revision
  }
  useIntervalFn(ask, EVERY_MS)
  watch(visibility, ask)
  watch(
    () => here.value.revision,
    () => (moved.value = false),
  )
  return moved
}
