import type { CalendarView } from '@/types/server'

const pad = (n: number) => String(n).padStart(2, '0')
const utc = (iso: string) => new Date(`${iso}T00:00:00Z`)
const isoOf = (date: Date) => date.toISOString().slice(0, 10)

/** 2026-11-27 if there is such a day, else null. */
function known(year: number, month: number, day: number): string | null {
  const iso = `${String(year).padStart(4, '0')}-${pad(month)}-${pad(day)}`
  const date = utc(iso)
  return !Number.isNaN(date.getTime()) && isoOf(date) === iso ? iso : null
}

export function addDays(iso: string, days: number): string {
  const date = utc(iso)
  date.setUTCDate(date.getUTCDate() + days)
  return isoOf(date)
}

export const isDay = (text: string) => /^\d{4}-\d{2}-\d{2}$/.test(text)

/** "27 Nov 2026"; what is no day stays as it was typed. */
export function dayText(iso: string, calendar: CalendarView): string {
  if (!isDay(iso)) return iso
  const [year, month, day] = iso.split('-').map(Number) as [number, number, number]
  return `${day} ${calendar.months[month - 1]} ${year}`
}

/** A day as a person types it: 27 Nov 2026, 27 nov, 27.11., 27/11/2026, 2026-11-27, today. Null: no day. The year may be left out. */
export function dayFrom(text: string, calendar: CalendarView): string | null {
  const typed = text.trim().toLowerCase()
  const ahead = { [calendar.words.today]: 0, [calendar.words.tomorrow]: 1, [calendar.words.yesterday]: -1 }[typed]
  if (ahead !== undefined) return addDays(calendar.today, ahead)
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(typed)
  if (iso) return known(Number(iso[1]), Number(iso[2]), Number(iso[3]))
  const parts = /^(\d{1,2})[\s./-]*([\p{L}]+|\d{1,2})\.?[\s./-]*(\d{4}|\d{2})?$/u.exec(typed)
  if (!parts) return null
  const named = calendar.months.findIndex((month) => month.toLowerCase().startsWith((parts[2] ?? '').slice(0, 3)))
  const month = /^\d/.test(parts[2] ?? '') ? Number(parts[2]) : named + 1
  const year = parts[3] === undefined ? Number(calendar.today.slice(0, 4)) : Number(parts[3].length === 2 ? `20${parts[3]}` : parts[3])
  return known(year, month, Number(parts[1]))
}

/** "07:20", or "7:20 am" where the workshop counts twelve hours. */
export function timeText(time: string, twelveHours: boolean): string {
  const parts = /^(\d{2}):(\d{2})$/.exec(time)
  if (!parts || !twelveHours) return time
  const hour = Number(parts[1])
  return `${hour % 12 || 12}:${parts[2]} ${hour < 12 ? 'am' : 'pm'}`
}

/** A time as a person types it: 7:20, 0720, 7.20, 7, 7:20 pm. Null: no time. */
export function timeFrom(text: string): string | null {
  const parts = /^(\d{1,2})(?:[:.h]?(\d{2}))?\s*([ap])?\.?m?\.?$/i.exec(text.trim())
  if (!parts) return null
  const half = parts[3]?.toLowerCase()
  const typed = Number(parts[1])
  if (half && (typed < 1 || typed > 12)) return null
  const hour = half ? (typed % 12) + (half === 'p' ? 12 : 0) : typed
  const minute = Number(parts[2] ?? 0)
  return hour > 23 || minute > 59 ? null : `${pad(hour)}:${pad(minute)}`
}

/** The weeks of a month, each of seven days, beginning with the workshop's first day of the week. */
export function weeksOf(month: string, firstDay: number): string[][] {
  const first = `${month.slice(0, 7)}-01`
  const weekday = utc(first).getUTCDay() || 7
  const start = addDays(first, -((weekday - firstDay + 7) % 7))
  return Array.from({ length: 6 }, (_, week) => Array.from({ length: 7 }, (_, day) => addDays(start, week * 7 + day)))
}

export function addMonths(iso: string, months: number): string {
  const date = utc(`${iso.slice(0, 7)}-01`)
  date.setUTCMonth(date.getUTCMonth() + months)
  const last = new Date(Date.UTC(date.getUTCFullYear(), date.getUTCMonth() + 1, 0)).getUTCDate()
  return `${isoOf(date).slice(0, 8)}${pad(Math.min(Number(iso.slice(8)), last))}`
}
