import { useEventListener, useLocalStorage } from '@vueuse/core'
import type { RemovableRef } from '@vueuse/core'

/** Single-letter keys can be switched off (WCAG 2.1.4); this device remembers. */
export function useKeysEnabled(): RemovableRef<boolean> {
  return useLocalStorage('dripel-keys', true)
}

/** Keys act on the page, never while somebody types or a dialog or menu is open. */
export function useKeys(keys: Record<string, (event: KeyboardEvent) => void>): void {
  const enabled = useKeysEnabled()
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    const target = event.target as HTMLElement
    const typing = target.closest('input, textarea, select, [contenteditable], [role="listbox"], [role="menu"]')
    if (!enabled.value || typing || event.ctrlKey || event.metaKey || event.altKey) return
    if (document.querySelector('.v-overlay--active[role="dialog"]')) return
    const act = keys[event.key]
    if (act) {
      event.preventDefault()
      act(event)
    }
  })
}
