import { useEventListener } from '@vueuse/core'
import { ref, type Ref } from 'vue'

/** Which part of a page is shown; its address carries it after a #, so that it can be linked to and stays through a reload. */
export function usePart<P extends string>(parts: readonly P[]): { part: Ref<P>; choose: (part: string) => void } {
  const named = () => parts.find((part) => `#${part}` === location.hash)
  const part = ref(named() ?? parts[0]) as Ref<P>
  useEventListener(window, 'hashchange', () => (part.value = named() ?? part.value))
  function choose(wanted: string): void {
    part.value = parts.find((other) => other === wanted) ?? part.value
    history.replaceState(history.state, '', `#${part.value}`)
  }
  return { part, choose }
}
