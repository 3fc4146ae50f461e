import { onScopeDispose } from 'vue'

let held = 0

/**
 * Keeps the page from scrolling under a dialog. The library's own way sets properties of the whole document, so that a browser works out the
 * style of each of its elements anew when a dialog opens and when it closes: half a second each on a phone. Nothing inherits this one, and
 * the room of the scrollbar is kept anyway (theme.css).
 */
export function holdPage(): void {
  const { style } = document.documentElement
  held++
  style.overflow = 'hidden'
  onScopeDispose(() => {
    if (--held === 0) style.overflow = ''
  })
}
