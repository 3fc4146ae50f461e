import { useResizeObserver, type MaybeComputedElementRef } from '@vueuse/core'
import { ref, type Ref } from 'vue'

/**
 * How wide a part stands, in px. It is told once the browser has laid the page out, before that is painted: to ask for it sooner would
 * have all of the page laid out once more, in the middle of drawing it.
 */
export function useWidth(part: MaybeComputedElementRef, until = 0): Ref<number> {
  const width = ref(until)
  useResizeObserver(part, ([entry]) => {
    if (entry) width.value = entry.contentRect.width
  })
  return width
}
