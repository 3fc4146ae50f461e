import type { VisitOptions } from '@inertiajs/core'
import { router } from '@inertiajs/vue3'
import { ref } from 'vue'
import { http } from '@/composables/http'
import { tell } from '@/composables/told'

/** A network that hangs for so long counts as gone: first it is waited for, then asked for a file that costs nothing. */
const WAITED_MS = 3000
const ASKED_MS = 2000
/** What cannot be kept here is waited for: asked so long and so often more, all unanswered, before it counts as not saved. */
const PATIENCE_MS = 10_000
const PATIENT_TIMES = 2

/** Whether the machine is out of reach: no network, or a request got no answer. The next answer ends it. */
export const offline = ref(false)
let failedMs = -1
/** The machine answers but can write nothing: its disk is full. */
const NO_ROOM = 507
let noRoomMs = -1

/** Whether the machine answers at all; a slow page is not a lost network. */
export async function answers(withinMs = ASKED_MS): Promise<boolean> {
  return (await http('get', '/manifest.webmanifest', undefined, { timeoutMs: withinMs }))?.ok ?? false
}

/** Listens to what becomes of requests; once, at the start. */
export function watchReach(): void {
  offline.value = !navigator.onLine
  window.addEventListener('online', () => (offline.value = false))
  window.addEventListener('offline', () => (offline.value = true))
  window.addEventListener('focus', () => navigator.onLine && (offline.value = false))
  router.on('networkError', (event) => {
    event.preventDefault()
    failedMs = performance.now()
    offline.value = true
  })
  router.on('httpException', (event) => {
    const { status, headers, data } = event.detail.response
    // A page that says so is shown as any other.
    if (status !== NO_ROOM || 'x-inertia' in headers) return
    event.preventDefault()
    noRoomMs = performance.now()
    tell((data as { message: string }).message)
  })
  // A page that this device kept comes without the machine.
  router.on('success', (event) => (offline.value = event.detail.page.props.kept !== undefined))
}

/**
 * The options of a visit with what is to happen when it gets no answer, and when the answer takes long. What cannot be kept here instead is
 * waited for a while longer: a busy machine takes it yet.
 */
export function elseGone(options: VisitOptions, gone: () => void, slow: () => void, kept: boolean): VisitOptions {
  const beganMs = performance.now()
  let timer: number | undefined
  let hangs = false
  let finished = false
  return {
    ...options,
    onCancelToken: (token) => {
      options.onCancelToken?.(token)
      timer = window.setTimeout(async () => {
        let there = await answers()
        if (!finished && (there || !kept)) slow()
        for (let more = kept ? 0 : PATIENT_TIMES; !there && !finished && more > 0; more--) there = await answers(PATIENCE_MS)
        hangs = !there && !finished
        if (hangs) token.cancel()
      }, WAITED_MS)
    },
    onFinish: (visit) => {
      finished = true
      window.clearTimeout(timer)
      options.onFinish?.(visit)
      if (hangs || failedMs >= beganMs) {
        offline.value = true
        gone()
      } else if (kept && noRoomMs >= beganMs) gone()
    },
  }
}
