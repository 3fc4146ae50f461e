import { usePage } from '@inertiajs/vue3'
import { useIntervalFn, useLocalStorage, useNow } from '@vueuse/core'
import { computed, reactive, ref } from 'vue'
import { http } from './http'
import { afterTap } from './jobRun'
import { newActionId } from './useActionForm'
import { renewKept } from '@/offline/pages'
import { queueOf } from '@/offline/taps'
import type { Tap, TapAbout } from '@/types/guided'
import type { JobEventKind, JobStateView, JobView } from '@/types/server'

const ASK_EVERY_MS = 3000
const LIVE_EVERY_MS = 1500

/**
 * A guided job on this device: its timer counts from the server's time, taps are shown at once and sent in their order.
 * Without the server the job goes on here step by step; the server's answer takes the place of what was shown meanwhile.
 */
export function useJob(job: JobView) {
  const state = reactive<JobStateView>({ ...job })
  const clock = useNow({ interval: 250 })
  // What the server's clock showed, and this device's when it said so.
  const serverS = ref(job.now)
  const takenMs = ref(usePage().props.kept || Date.now())
  const goneFrom = ref(job.now)
  const queue = useLocalStorage<Tap[]>(queueOf(job.id), [])
  const away = ref(false)
  const moved = ref(false)
  const problem = ref<string | null>(null)
  let sending = false

  // The server's clock may run faster than this one's, where a day is shown in minutes.
  const nowS = computed(() => {
    const passedMs = clock.value.getTime() - takenMs.value
    return Math.floor(serverS.value + (Math.max(0, passedMs) * job.speed) / 1000)
  })
  const step = computed(() => (state.current ? (job.steps[state.current.step] ?? null) : null))
  const gone = computed(() => {
    const current = state.current
    return current ? Math.max(0, current.gone + (current.paused ? 0 : nowS.value - goneFrom.value)) : 0
  })
  const left = computed(() => (state.current?.seconds == null ? null : state.current.seconds - gone.value))

  function take(fresh: JobStateView): void {
    Object.assign(state, fresh)
    serverS.value = fresh.now
    takenMs.value = Date.now()
    goneFrom.value = fresh.now
    // Opened later without the machine it goes on from here.
    void renewKept(`/jobs/${job.id}`, { job: { ...job, ...fresh } }).catch(() => undefined)
  }

  /** What the server will make of the tap, drawn at once. */
  function show(tap: Tap): void {
    // Where it goes back to, with its pauses, the server knows.
    if (state.current?.position !== tap.position || tap.kind === 'note' || tap.kind === 'back') return
    const goneThen = Math.max(0, state.current.gone + (state.current.paused ? 0 : tap.at - goneFrom.value))
    Object.assign(state, afterTap(state, job.steps, tap, goneThen))
    goneFrom.value = tap.at
  }

  async function ask(path: string, taps?: Tap[]): Promise<void> {
    const answer = await http<JobStateView>(taps ? 'post' : 'get', `/jobs/${job.id}/${path}`, taps ? { taps } : undefined)
    away.value = answer === null
    if (!answer) return
    // Taken, or refused for good; whoever has to sign in again first loses nothing.
    const settled = answer.ok || answer.status === 409 || answer.status === 422
    if (taps && settled) queue.value = queue.value.filter((tap) => !taps.some((sent) => sent.id === tap.id))
    if (answer.ok || answer.status === 409) {
      if (answer.status === 409) moved.value = true
      if (!queue.value.length) take(answer.body)
    } else {
      problem.value = Object.values(answer.errors)[0] ?? ''
      if (taps && settled) await ask('state')
    }
  }

  async function talk(): Promise<void> {
    if (sending) return
    sending = true
    const taps = [...queue.value]
    await (taps.length ? ask('taps', taps) : ask('state'))
    sending = false
    // What was tapped meanwhile goes at once; what was not taken waits for the next turn.
    const first = queue.value[0]
    if (first && !away.value && !taps.some((sent) => sent.id === first.id)) await talk()
  }

  function tap(kind: JobEventKind, ticks: string[] = [], about?: TapAbout): void {
    if (!state.current) return
    problem.value = null
    moved.value = false
    const made: Tap = { id: newActionId(), kind, position: state.current.position, at: nowS.value, ticks, about }
    show(made)
    queue.value = [...queue.value, made]
    void talk()
  }

  queue.value.forEach(show)
  if (queue.value.length) void talk()
  // A bath is looked at more often than a jar.
  useIntervalFn(() => !state.ended && talk(), job.kind === 'pot_day' ? LIVE_EVERY_MS : ASK_EVERY_MS)

  return { state, step, gone, left, nowS, away, moved, problem, waiting: computed(() => queue.value.length), tap }
}
