import { useDocumentVisibility, useIntervalFn } from '@vueuse/core'
import { ref, watch, type Ref } from 'vue'
import { useHere } from './useHere'

const EVERY_MS = 15_000

/** Asks now and then whether the workshop has moved on since this page was made. */
export function useRevision(): Ref<boolean> {
  const here = useHere()
  const moved = ref(false)
  const visibility = useDocumentVisibility()
  async function ask(): Promise<void> {
    if (visibility.value !== 'visible') return
    const shown = here.value.revision
    try {
      const response = await fetch('/revision', { headers: { Accept: 'application/json' } })
      if (response.ok) moved.value = ((await response.json()) as { revision: number }).revision > shown && shown === here.value.revision
    } catch {
      // Without the server there is nothing to compare with; the next question will tell.
    }
  }
  useIntervalFn(ask, EVERY_MS)
  watch(visibility, ask)
  watch(
    () => here.value.revision,
    () => (moved.value = false),
  )
  return moved
}
