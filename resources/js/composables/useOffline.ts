import { router } from '@inertiajs/vue3'
import { tryOnScopeDispose, useEventListener, useOnline } from '@vueuse/core'
import { ref, watch, type Ref } from 'vue'

/** Whether the server cannot be reached: the network is gone, or a request got no answer. The next answer ends it. */
export function useOffline(): Ref<boolean> {
  const online = useOnline()
  const offline = ref(!online.value)
  watch(online, (now) => (offline.value = !now))
  const stops = [
    router.on('exception', (event) => {
      event.preventDefault()
      offline.value = true
    }),
    router.on('success', () => (offline.value = false)),
  ]
  useEventListener(window, 'focus', () => online.value && (offline.value = false))
  tryOnScopeDispose(() => stops.forEach((stop) => stop()))
  return offline
}
