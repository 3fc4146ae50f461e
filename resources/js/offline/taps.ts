import { ref } from 'vue'
import { http } from '@/composables/http'
import type { Tap } from '@/types/guided'

const KEY = /^dripel-job-(.+)$/
export const queueOf = (job: string) => `dripel-job-${job}`

/** Taps of guided jobs that were left before the machine had taken them. */
export const tapsWaiting = ref(0)

function queues(): { job: string; taps: Tap[] }[] {
  return Object.keys(localStorage)
    .map((key) => KEY.exec(key)?.[1])
    .filter((job): job is string => job !== undefined)
    .map((job) => ({ job, taps: JSON.parse(localStorage.getItem(queueOf(job)) ?? '[]') as Tap[] }))
    .filter((one) => one.taps.length)
}

/** Sends them, each job's in their order; whether the machine answered. An open job sends its own (useJob). */
export async function sendTaps(timeoutMs: number): Promise<boolean> {
  for (const { job, taps } of queues()) {
    const answer = await http<object>('post', `/jobs/${job}/taps`, { taps }, { timeoutMs })
    if (answer === null) break
    // Taken, or refused for good; a job that is gone has no use for them. Whoever has to sign in again first loses nothing.
    if (answer.ok || [404, 409, 422].includes(answer.status)) localStorage.removeItem(queueOf(job))
  }
  const left = queues()
  tapsWaiting.value = left.reduce((all, one) => all + one.taps.length, 0)
  return left.length === 0
}
