import { router, usePage } from '@inertiajs/vue3'
import { computed, nextTick, shallowReactive, watch } from 'vue'
import { offline } from '@/offline/reach'
import { renewPage } from './renewPage'

/**
 * What only an open part of the page shows: asked for when the part is opened, again after each answer that came without it, and when the
 * machine can be reached again. What was last there stays meanwhile, with whatever somebody has begun in it.
 *
 * @param wanted the property that the open part shows; null: none
 */
export function useOpened<P extends object>(props: P, names: readonly (keyof P & string)[], wanted: () => (keyof P & string) | null) {
  const page = usePage()
  const last = shallowReactive(new Map<keyof P, unknown>())
  function look(): void {
    for (const name of names) if (props[name] !== undefined) last.set(name, props[name])
    const name = wanted()
    if (name === null || props[name] !== undefined || offline.value) return
    // A page that this device kept comes anew as a whole first.
    if (page.props.kept !== undefined) renewPage()
    else router.reload({ only: [name], preserveErrors: true })
  }
  void nextTick(look)
  watch([() => page.props, wanted, offline], look)
  return computed(() => Object.fromEntries(last) as Partial<P>)
}
