import { computed, ref, type ComputedRef, type Ref } from 'vue'
import { usePhone } from './usePhone'

/** On the phone the first few of a list, until all are asked for; on the desk all of it. */
export function useFew<T>(list: () => T[], few: number): { shown: ComputedRef<T[]>; hidden: ComputedRef<number>; all: Ref<boolean> } {
  const phone = usePhone()
  const all = ref(false)
  const shown = computed(() => (phone.value && !all.value ? list().slice(0, few) : list()))
  return { shown, all, hidden: computed(() => list().length - shown.value.length) }
}
