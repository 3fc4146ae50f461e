import { computed, onMounted, ref, type ComputedRef } from 'vue'
import { whenIdle } from './lazily'

/** A busy page draws on all the same. */
const SOON_MS = 200
/** Once all of a list was drawn it is drawn at once ever after: what is scrolled to stays where it is. */
let drawn = false
/** Whether the browser comes back to a place further down. */
const scrolled = () => ((history.state as { documentScrollPosition?: { top: number } } | null)?.documentScrollPosition?.top ?? 0) > 0

/** The first few of a list with the page, the others one by one after it: what is in sight is there sooner. */
export function useInTurn<T>(list: () => T[], atOnce: number): ComputedRef<T[]> {
  const count = ref(drawn || scrolled() ? Infinity : atOnce)
  const next = (): void =>
    whenIdle(() => {
      count.value++
      if (count.value < list().length) next()
      else drawn = true
    }, SOON_MS)
  onMounted(() => count.value < list().length && next())
  return computed(() => list().slice(0, count.value))
}
