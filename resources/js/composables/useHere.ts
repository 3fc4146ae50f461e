import { usePage } from '@inertiajs/vue3'
import { computed, type ComputedRef } from 'vue'
import type { HereView } from '@/types/server'

/** Who is signed in and where. Only for pages behind the sign-in. */
export function useHere(): ComputedRef<HereView> {
  const page = usePage()
  return computed(() => {
    if (!page.props.here) throw new Error('useHere is for pages behind the sign-in')
    return page.props.here
  })
}
