import { usePage } from '@inertiajs/vue3'
import { useDocumentVisibility, useTimeoutFn } from '@vueuse/core'
import { onUnmounted, ref, watch, type Ref } from 'vue'
import { useHere } from './useHere'
import { http } from './http'
import { renewPage } from './renewPage'
import { answers, offline } from '@/offline/reach'

/** Asked so often at first; while nothing moves, less and less. */
const EVERY_MS = 15_000
const SELDOM_MS = 60_000
const SLOWER = 1.5
const GONE_AFTER_MS = 5000

/** Asks now and then whether the workshop has moved on since this page was made. */
export function useRevision(): Ref<boolean> {
  const here = useHere()
  const moved = ref(false)
  const visibility = useDocumentVisibility()
  const everyMs = ref(EVERY_MS)
  let stays = true
  const { start, stop } = useTimeoutFn(() => void ask(), everyMs, { immediate: visibility.value === 'visible' })
  async function ask(): Promise<void> {
    const shown = here.value.revision
    // Without the server there is nothing to compare with; the next question will tell.
    const answer = await http<{ revision: number }>('get', '/revision', undefined, { timeoutMs: GONE_AFTER_MS })
    offline.value = answer === null && !(await answers())
    // A page that this device kept is of no more use.
    if (answer?.ok && usePage().props.kept) renewPage()
    if (answer?.ok) moved.value = answer.body.revision > shown && shown === here.value.revision
    // Out of reach it is looked for as often as ever; what has moved is shown until somebody wants to see it.
    everyMs.value = answer?.ok ? Math.min(SELDOM_MS, SLOWER * everyMs.value) : EVERY_MS
    if (stays && visibility.value === 'visible') start()
  }
  onUnmounted(() => (stays = false))
  // Nobody looks: nothing is asked. Whoever comes back, or does something, is kept up with closely again.
  watch(visibility, (now) => {
    everyMs.value = EVERY_MS
    stop()
    if (now === 'visible') void ask()
  })
  watch(
    () => here.value.revision,
    () => {
      moved.value = false
      everyMs.value = EVERY_MS
      if (visibility.value === 'visible') start()
    },
  )
  return moved
}
