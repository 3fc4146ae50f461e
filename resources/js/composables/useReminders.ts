import { useIntervalFn, useLocalStorage } from '@vueuse/core'
import { onMounted, ref, type Ref } from 'vue'
import { http } from './http'
import { t } from './useText'

/** How long the message service of a browser's maker may take. */
const SERVICE_MS = 10_000
const EVERY_MS = 10 * 60_000

interface Reminder {
  tag: string
  title: string
  text: string
}

const wanted = useLocalStorage('dripel.remind', false)
/** Told by the machine, also while no page is open. */
const closed = useLocalStorage('dripel.push', false)
const told = useLocalStorage<string[]>('dripel.reminded', [])

export const mayRemind = (): boolean => 'Notification' in window && window.isSecureContext

/** Whether this device is to be reminded; switching it on asks the browser, and stays off where that says no. */
export function useRemindersWanted(): { wanted: Ref<boolean>; choose: (on: boolean) => Promise<void> } {
  async function choose(on: boolean): Promise<void> {
    if (!on) await unsubscribe()
    wanted.value = on && mayRemind() && (await Notification.requestPermission()) === 'granted'
    if (wanted.value) await remind()
  }
  return { wanted, choose }
}

export const mayPush = (): boolean => mayRemind() && 'PushManager' in window && 'serviceWorker' in navigator

/** Whether this browser is told while Dripel is closed; switching it on takes its maker's message service. `refused`: that did not answer. */
export function usePush(): { closed: Ref<boolean>; refused: Ref<string>; choose: (on: boolean) => Promise<void> } {
  const refused = ref('')
  async function choose(on: boolean): Promise<void> {
    refused.value = ''
    if (!on) await unsubscribe()
    else refused.value = await subscribe()
  }
  return { closed, refused, choose }
}

/** Resolves to why it is not, in words; empty: it is. */
async function subscribe(): Promise<string> {
  const key = await http<{ key: string }>('get', '/push/key')
  if (!key?.ok) return key?.errors.push ?? t('device.push_refused')
  try {
    const worker = await navigator.serviceWorker.ready
    const subscribed = worker.pushManager.subscribe({ userVisibleOnly: true, applicationServerKey: key.body.key })
    const subscription = await Promise.race([subscribed, new Promise<null>((give) => setTimeout(() => give(null), SERVICE_MS))])
    if (!subscription) {
      // Should it answer after all, nobody waits for it any more.
      void subscribed.then((late) => late.unsubscribe()).catch(() => false)
      return t('device.push_refused')
    }
    const answer = await http('post', '/push', subscription.toJSON())
    closed.value = answer?.ok ?? false
    if (!closed.value) await subscription.unsubscribe()
    return closed.value ? '' : (answer?.errors.endpoint ?? t('device.push_refused'))
  } catch {
    return t('device.push_refused')
  }
}

/** Ends it here and with the machine, as far as that can be reached: a service says itself that a browser is gone. */
export async function unsubscribe(): Promise<void> {
  if (!closed.value) return
  closed.value = false
  const worker = await navigator.serviceWorker.getRegistration().catch(() => undefined)
  const subscription = await worker?.pushManager.getSubscription().catch(() => null)
  await subscription?.unsubscribe().catch(() => false)
  await http('delete', '/push')
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
