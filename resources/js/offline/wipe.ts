import { http } from '@/composables/http'
import { unsubscribe } from '@/composables/useReminders'
import { device } from './device'
import { forgetPages } from './pages'

/** Takes everything of a person off this device; what somebody else has not sent yet is theirs. What the device itself was set to stays. */
export async function wipe(who: string): Promise<void> {
  await Promise.all([forgetPages().catch(() => undefined), unsubscribe()])
  const forget = (store: Storage, names: RegExp) =>
    Object.keys(store)
      .filter((key) => names.test(key))
      .forEach((key) => store.removeItem(key))
  forget(localStorage, /^dripel(-job-|\.reminded$)/)
  forget(sessionStorage, /^dripel\.draft\./)
  const db = await device().catch(() => null)
  if (!db) return
  const theirs = (await db.getAll('entries')).filter((entry) => entry.who === who)
  await Promise.all(theirs.map((entry) => db.delete('entries', entry.place ?? 0)))
}

/**
 * Before the door: nothing of a workshop can be read here any more. What was not sent yet stays for whoever signs in again, unless that
 * person has been removed from the workshop meanwhile. Resolves to how many entries still wait.
 */
export async function leaveNothing(): Promise<number> {
  await Promise.all([forgetPages().catch(() => undefined), unsubscribe()])
  const db = await device().catch(() => null)
  if (!db) return 0
  for (const who of new Set((await db.getAll('entries')).map((entry) => entry.who))) {
    const answer = await http<{ stays: boolean }>('get', who)
    const gone = answer?.status === 404 || (answer?.ok && !answer.body.stays)
    if (gone) await wipe(who)
  }
  return db.count('entries')
}
