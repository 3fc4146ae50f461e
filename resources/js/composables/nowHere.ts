import { usePage } from '@inertiajs/vue3'
import type { FormDefaults } from '@/types/server'

/** When the page that is shown came from the machine, by this device's clock; set by app.ts. */
let cameMs = Date.now()
export const pageCame = (atMs: number) => (cameMs = atMs)

/** One of each zone: to make one takes a phone a tenth of a second. */
const formatters = new Map<string, Intl.DateTimeFormat>()
function formatter(timeZone: string): Intl.DateTimeFormat {
  const made =
    formatters.get(timeZone) ??
    new Intl.DateTimeFormat('en-GB', {
      timeZone,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    })
  formatters.set(timeZone, made)
  return made
}

/** A moment of this device's clock as a day and a time in the workshop. */
function local(ms: number): { date: string; time: string } {
  const parts = formatter(usePage().props.here?.calendar.zone ?? 'UTC').formatToParts(new Date(workshopMs(ms)))
  const part = (type: string) => parts.find((one) => one.type === type)?.value ?? ''
  return { date: `${part('year')}-${part('month')}-${part('day')}`, time: `${part('hour')}:${part('minute')}` }
}

/** The machine's clock at that moment: what it said when the page came, and what has passed since. */
function workshopMs(ms: number): number {
  const nowS = usePage().props.here?.calendar.nowS
  return nowS === undefined ? ms : nowS * 1000 + ms - cameMs
}

export const clockOf = (ms: number) => local(ms).time
export const dayOf = (ms: number) => local(ms).date

/** The day and the time in the workshop, now. */
export const nowHere = () => local(Math.max(cameMs, Date.now()))

const minutes = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3))
const clock = (all: number) => `${String(Math.floor(all / 60)).padStart(2, '0')}:${String(all % 60).padStart(2, '0')}`

/** What forms start from, now: a page may have lain open, or on a device without the machine, for an evening. */
export function formsNow<F extends Pick<FormDefaults, 'date' | 'time'> & Partial<Pick<FormDefaults, 'bikes'>>>(forms: F): F {
  const now = nowHere()
  if (now.date === forms.date && now.time <= forms.time) return forms
  // A ride began as long before now as it was said to have begun before then, but on the same day.
  const began = (rideTime: string) => clock(Math.max(0, minutes(now.time) - Math.max(0, minutes(forms.time) - minutes(rideTime))))
  return { ...forms, ...now, bikes: forms.bikes?.map((bike) => ({ ...bike, rideTime: began(bike.rideTime) })) }
}
