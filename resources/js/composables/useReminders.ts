import { useIntervalFn, useLocalStorage } from '@vueuse/core'
import { onMounted, type Ref } from 'vue'
import { http } from './http'

const EVERY_MS = 10 * 60_000

interface Reminder {
  tag: string
  title: string
  text: string
}

const wanted = useLocalStorage('dripel.remind', false)
const told = useLocalStorage<string[]>('dripel.reminded', [])

export const mayRemind = (): boolean => 'Notification' in window && window.isSecureContext

/** Whether this device is to be reminded; switching it on asks the browser, and stays off where that says no. */
export function useRemindersWanted(): { wanted: Ref<boolean>; choose: (on: boolean) => Promise<void> } {
  async function choose(on: boolean): Promise<void> {
    wanted.value = on && mayRemind() && (await Notification.requestPermission()) === 'granted'
    if (wanted.value) await remind()
  }
  return { wanted, choose }
}

/** Shows it beside whatever is open; nothing where this device is not to be reminded. */
export async function notify(one: Reminder & { url?: string }): Promise<void> {
  if (!wanted.value || !mayRemind() || Notification.permission !== 'granted') return
  const options = { body: one.text, tag: one.tag, icon: '/icon.svg', data: { url: one.url ?? '/' } }
  const worker = await navigator.serviceWorker?.getRegistration().catch(() => undefined)
  if (worker) await worker.showNotification(one.title, options)
  else new Notification(one.title, options)
}

/** Tells what is for today, each thing once a day. */
async function remind(): Promise<void> {
  if (!wanted.value || !mayRemind() || Notification.permission !== 'granted') return
  const answer = await http<Reminder[]>('get', '/reminders')
  // Out of reach: it is asked again.
  if (!answer?.ok) return
  for (const one of answer.body.filter((other) => !told.value.includes(other.tag))) await notify(one)
  told.value = answer.body.map((one) => one.tag)
}

/** Runs while a page is open. */
export function useReminders(): void {
  onMounted(remind)
  useIntervalFn(remind, EVERY_MS)
}
