import { defineAsyncComponent, type Component } from 'vue'

/** Once the page stands and nothing else is to be done, else after so long. */
const AT_THE_LATEST_MS = 3000

export function whenIdle(act: () => void, atTheLatestMs = AT_THE_LATEST_MS): void {
  if ('requestIdleCallback' in window) window.requestIdleCallback(act, { timeout: atTheLatestMs })
  else setTimeout(act, atTheLatestMs)
}

/**
 * A form that a page may open: its code comes after the page is drawn, and before anybody can ask for it; the network may be gone by then.
 * `() => import('…')` of each is written where it is used, as the build looks for it there.
 */
export function lazily<T extends Component>(load: () => Promise<{ default: T }>): T {
  // Without it now, it is asked for again when it is opened.
  whenIdle(() => void load().catch(() => undefined))
  return defineAsyncComponent(load) as T
}
