import { computed, ref, type Ref, type WritableComputedRef } from 'vue'

/** Several dialogs of which at most one is open: which it is, and for each whether it is. */
export function useOneOpen<Name extends string>(): {
  open: Ref<Name | null>
  shown: (...names: [Name, ...Name[]]) => WritableComputedRef<boolean>
} {
  const open = ref<Name | null>(null) as Ref<Name | null>
  const shown = (...names: [Name, ...Name[]]) =>
    computed({
      get: () => open.value !== null && names.includes(open.value),
      set: (on: boolean) => (open.value = on ? names[0] : null),
    })
  return { open, shown }
}
