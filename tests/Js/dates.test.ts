import { describe, expect, it } from 'vitest'
import { addDays, addMonths, dayFrom, dayText, timeFrom, timeText, weeksOf } from '@/composables/dates'
import type { CalendarView } from '@/types/server'

const calendar: CalendarView = {
  months: ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'],
  days: ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'],
  firstDay: 1,
  twelveHours: false,
  nowS: 0,
  zone: 'UTC',
  today: '2026-11-27',
  words: { today: 'today', tomorrow: 'tomorrow', yesterday: 'yesterday' },
}

describe('days and times as the workshop writes them', () => {
  it.each([
    ['27 Nov 2026', '2026-11-27'],
    ['27 november', '2026-11-27'],
    ['1.2.26', '2026-02-01'],
    ['27/11/2026', '2026-11-27'],
    ['2026-2-28', '2026-02-28'],
    ['today', '2026-11-27'],
    ['Yesterday', '2026-11-26'],
    ['tomorrow', '2026-11-28'],
    ['29 Feb 2026', null],
    ['31.11.', null],
    ['soon', null],
    ['', null],
  ])('reads the day %s', (typed, day) => expect(dayFrom(typed, calendar)).toBe(day))

  it.each([
    ['7:20', '07:20'],
    ['0720', '07:20'],
    ['7.05', '07:05'],
    ['7', '07:00'],
    ['7:20 pm', '19:20'],
    ['12 am', '00:00'],
    ['12:30pm', '12:30'],
    ['24:00', null],
    ['13 pm', null],
    ['7:61', null],
    ['early', null],
  ])('reads the time %s', (typed, time) => expect(timeFrom(typed)).toBe(time))

  it('writes them', () => {
    expect(dayText('2026-11-27', calendar)).toBe('27 Nov 2026')
    expect(dayText('what?', calendar)).toBe('what?')
    expect([timeText('07:20', false), timeText('07:20', true), timeText('12:05', true), timeText('00:00', true)]).toEqual([
      '07:20',
      '7:20 am',
      '12:05 pm',
      '12:00 am',
    ])
  })

  it('counts days, months and weeks', () => {
    expect(addDays('2026-12-31', 1)).toBe('2027-01-01')
    expect(addMonths('2026-01-31', 1)).toBe('2026-02-28')
    expect(addMonths('2026-01-31', -2)).toBe('2025-11-30')
    expect(weeksOf('2026-11-27', 1)[0]).toEqual([
      '2026-10-26',
      '2026-10-27',
      '2026-10-28',
      '2026-10-29',
      '2026-10-30',
      '2026-10-31',
      '2026-11-01',
    ])
    expect(weeksOf('2026-11-27', 7)[0]?.[0]).toBe('2026-11-01')
  })
})
