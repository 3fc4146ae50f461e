import { usePage } from '@inertiajs/vue3'
import { computed, ref, shallowRef } from 'vue'
import { http } from '@/composables/http'
import { dayText, timeText } from '@/composables/dates'
import { renewPage } from '@/composables/renewPage'
import { t } from '@/composables/useText'
import { tell } from '@/composables/told'
import { device, type KeptEntry } from './device'
import { kindOf, sameBike, touches, type KeptKind } from './kinds'
import { offline } from './reach'
import { sendTaps, tapsWaiting } from './taps'
import type { ChainView, FormDefaults, HereView, RailView } from '@/types/server'

const SENT_AS = 'X-Dripel-Kept'
const GONE_AFTER_MS = 5000
/** The session is over: whoever signs in again sends them. */
const SIGN_IN = [401, 419]
const LATER = [429, 502, 503, 504, 507]

/** What is kept here of this person, in its order. */
export const entries = shallowRef<KeptEntry[]>([])
export const waiting = computed(() => entries.value.filter((entry) => !entry.refused))
export const refused = computed(() => entries.value.filter((entry) => entry.refused))
/** Whether a swap of that bike is on its way: what hangs and what is on may be the other way round by now. */
export const swapUnsent = (bike: number): boolean => entries.value.some((entry) => entry.kind === 'swap' && entry.bikes.includes(bike))
/** A refused entry that is being put right in its form. */
export const mending = shallowRef<KeptEntry | null>(null)
export const signInFirst = ref(false)

const here = (): HereView | null => usePage().props.here

export async function readEntries(): Promise<void> {
  const who = here()?.stay
  const all = await device().then(
    (db) => db.getAll('entries'),
    () => [],
  )
  entries.value = all.filter((entry) => entry.who === who)
}

/** The wall as this page or this device knows it. */
export async function knownRails(): Promise<RailView[]> {
  const shown = usePage().props.rails as RailView[] | undefined
  if (shown) return shown
  const kept = await device().then((db) => db.get('pages', '/'))
  return (kept?.page.props.rails as RailView[] | undefined) ?? []
}

/** "31 km, wet": the plain figures of a form, as typed. */
function factsOf(data: Record<string, unknown>): string {
  const at = here()
  if (!at) return ''
  const forms = usePage().props.forms as FormDefaults | undefined
  const condition = forms?.conditions.find((one) => one.value === data.condition)?.title.toLowerCase()
  const days = Array.isArray(data.dates) ? data.dates.map((day) => dayText(String(day), at.calendar)).join(', ') : ''
  const day = typeof data.date === 'string' && data.date ? dayText(data.date, at.calendar) : ''
  const time = typeof data.time === 'string' && data.time ? timeText(data.time, at.calendar.twelveHours) : ''
  const care = data.care === 'dried' || data.care === 'wiped' ? t(`kept.care.${data.care}`) : ''
  return [data.distance ? `${data.distance} ${at.distanceUnit}` : '', care, condition ?? '', days, [day, time].filter(Boolean).join(', ')]
    .filter(Boolean)
    .join(' · ')
}

function subjectOf(
  kind: KeptKind,
  touched: { bikes: number[]; chains: number[] },
  data: Record<string, unknown>,
  wall: RailView[],
): string {
  const chains = wall.flatMap((rail) => [rail.fitted, ...rail.hanging]).filter((one): one is ChainView => one !== null)
  const chain = (id: number) => chains.find((one) => one.id === id)?.name ?? ''
  const forms = usePage().props.forms as FormDefaults | undefined
  const bike = (id: number) => (wall.find((one) => one.id === id) ?? forms?.bikes.find((one) => one.id === id))?.name ?? ''
  if (kind === 'swap') return `${bike(touched.bikes[0] ?? 0)} → ${data.chain_id === null ? '–' : chain(Number(data.chain_id))}`
  const onBikes = ['ride', 'loud', 'commute', 'brush'].includes(kind)
  return (onBikes ? touched.bikes.map(bike) : touched.chains.map(chain)).filter(Boolean).join(', ')
}

/** Writes it down on this device. Rejects where the browser keeps nothing. */
export async function keep(method: string, url: string, data: Record<string, unknown>): Promise<void> {
  const kind = kindOf(method, url)
  const who = here()?.stay
  if (!kind || !who) throw new Error(`${url} is not kept`)
  const wall = await knownRails()
  const touched = touches(url, data, wall)
  const plain = JSON.parse(JSON.stringify(data)) as Record<string, unknown>
  const entry: KeptEntry = {
    ...touched,
    id: String(data.action_id),
    kind,
    method: 'post',
    url,
    data: plain,
    who,
    subject: subjectOf(kind, touched, plain, wall),
    facts: factsOf(plain),
    madeMs: Date.now(),
    refused: null,
  }
  const db = await device()
  // What was put right takes the place that it had in the queue.
  if (mending.value?.kind === kind && mending.value.place !== undefined) entry.place = mending.value.place
  await db.put('entries', entry)
  mending.value = null
  await readEntries()
  void send()
}

export async function discard(entry: KeptEntry): Promise<void> {
  if (entry.place !== undefined) await (await device()).delete('entries', entry.place)
  if (mending.value?.place === entry.place) mending.value = null
  await readEntries()
}

export async function tryAgain(entry: KeptEntry): Promise<void> {
  await (await device()).put('entries', { ...entry, refused: null })
  await readEntries()
  await send()
}

let running: Promise<void> | null = null
let more = false

/** Sends what waits, in its order; what is refused stays here with its reason, and what comes after it on the same bike waits with it. */
export function send(): Promise<void> {
  // What came while it was sending goes out after it.
  more = running !== null
  running ??= sendNow().finally(() => (running = null))
  return running
}

async function sendNow(): Promise<void> {
  do {
    more = false
    if (here()) await (navigator.locks ? navigator.locks.request('dripel-entries', sendAll) : sendAll())
  } while (more)
}

async function sendAll(): Promise<void> {
  const hadTaps = tapsWaiting.value > 0
  if ((await sendTaps(GONE_AFTER_MS)) && hadTaps) renewPage()
  await readEntries()
  if (!waiting.value.length) return
  const db = await device()
  const held: number[][] = []
  let sent = 0
  for (const entry of entries.value) {
    if (entry.refused || held.some((bikes) => sameBike(bikes, entry.bikes))) {
      held.push(entry.bikes)
      continue
    }
    const answer = await post(entry)
    offline.value = answer === null
    signInFirst.value = answer !== null && SIGN_IN.includes(answer.status)
    if (answer === null || signInFirst.value || LATER.includes(answer.status)) break
    if (answer.ok) {
      sent++
      await db.delete('entries', entry.place ?? 0)
    } else {
      held.push(entry.bikes)
      // What the machine could not do is said in words of a person.
      const errors = answer.status === 500 ? { page: t('kept.failed') } : answer.errors
      await db.put('entries', { ...entry, refused: { status: answer.status, errors } })
    }
  }
  await readEntries()
  if (sent) {
    tell(sent === 1 ? t('kept.sent_one') : t('kept.sent', { count: sent }))
    renewPage()
  }
}

async function post(entry: KeptEntry) {
  const how = { headers: { [SENT_AS]: '1' }, timeoutMs: GONE_AFTER_MS }
  const answer = await http<object>(entry.method, entry.url, entry.data, how)
  if (answer?.status !== 419) return answer
  // Its cookie was too old; any page brings a new one.
  await http('get', '/revision')
  return http<object>(entry.method, entry.url, entry.data, how)
}
