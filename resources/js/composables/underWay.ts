import { router } from '@inertiajs/vue3'
import { ref } from 'vue'

/** What comes sooner needs no announcement. */
const SHOWN_AFTER_MS = 250

/** Whether a page that the person asked for is on its way for longer than a moment. */
export const underWay = ref(false)

/** Listens to what pages are asked for; once, at the start. */
export function watchUnderWay(): void {
  let timer: number | undefined
  router.on('start', ({ detail: { visit } }) => {
    if (!visit.showProgress) return
    window.clearTimeout(timer)
    timer = window.setTimeout(() => (underWay.value = true), SHOWN_AFTER_MS)
  })
  router.on('finish', ({ detail: { visit } }) => {
    if (!visit.showProgress) return
    window.clearTimeout(timer)
    underWay.value = false
  })
}
