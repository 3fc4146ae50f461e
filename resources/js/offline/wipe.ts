import { http } from '@/composables/http'
import { device } from './device'

/** Takes everything of a workshop off this device. What the device itself was set to (light, bell, keys) stays. */
export async function wipe(): Promise<void> {
  Object.keys(localStorage)
    .filter((key) => /^dripel(-job-|\.kept$|\.reminded$)/.test(key))
    .forEach((key) => localStorage.removeItem(key))
  sessionStorage.clear()
  const db = await device().catch(() => null)
  if (db) await Promise.all([db.clear('pages'), db.clear('entries')])
}

/**
 * Before the door: nothing of a workshop can be read here any more. What was not sent yet stays for whoever signs in again, unless that
 * person
 * has been removed from the workshop meanwhile. Resolves to how many entries still wait.
 */
export async function leaveNothing(): Promise<number> {
  const db = await device().catch(() => null)
  if (!db) return 0
  await db.clear('pages')
  localStorage.removeItem('dripel.kept')
  for (const who of new Set((await db.getAll('entries')).map((entry) => entry.who))) {
    const answer = await http<{ stays: boolean }>('get', who)
    const gone = answer?.status === 404 || (answer?.ok && !answer.body.stays)
    if (gone) await wipe()
  }
  return db.count('entries')
}
