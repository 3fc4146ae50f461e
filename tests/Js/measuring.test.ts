import { beforeEach, describe, expect, it } from 'vitest'
import { emptySpot, isRead, isSame, useMeasuring } from '@/composables/useMeasuring'
import { timerDigits } from '@/composables/timerDigits'
import type { InstrumentView } from '@/types/server'
import { settle, within } from './support'

const of = (kind: InstrumentView['kind'], id: number | null, more: Partial<InstrumentView> = {}): InstrumentView => ({
  id,
  kind,
  name: kind,
  about: '',
  marks: ['0.5', '0.75'],
  pitches: 10,
  zero: '0',
  ...more,
})
const [ruler, teeth, digital] = [of('ruler', null, { pitches: 24 }), of('drop_in', 7), of('digital', 9, { zero: '0.03' })]

describe('a reading as it is taken', () => {
  beforeEach(() => localStorage.clear())

  it('begins with the first instrument, and the next time with the one used last on this device', async () => {
    const first = within(() => useMeasuring([ruler, teeth, digital]))
    expect([first.made.reading.instrument?.kind, first.made.reading.pitches]).toEqual(['ruler', '24'])
    first.made.choose(digital)
    await settle()
    first.scope.stop()
    const again = within(() => useMeasuring([ruler, teeth, digital]))
    expect([again.made.reading.instrument?.id, again.made.reading.zero_pct]).toEqual([9, '0.03'])
    again.scope.stop()
    // The one that is gone is not asked for.
    const without = within(() => useMeasuring([ruler]))
    expect(without.made.reading.instrument?.kind).toBe('ruler')
    without.scope.stop()
  })

  it('sends of each kind what it shows, and leaves out spots of which nothing was said', () => {
    const { made, scope } = within(() => useMeasuring([ruler, teeth, digital]))
    made.reading.spots = [{ ...emptySpot(), length_mm: '305,4' }, emptySpot()]
    expect(made.payload()).toEqual({ instrument_id: null, kind: 'ruler', pitches: '24', spots: [{ length_mm: '305,4' }], sure: false })
    made.choose(teeth)
    made.reading.spots = [{ ...emptySpot(), seats: { '0.5': 'rests', '0.75': '' } }, emptySpot()]
    expect(made.payload()).toMatchObject({ instrument_id: 7, kind: 'drop_in', spots: [{ results: [{ mark_pct: 0.5, seat: 'rests' }] }] })
    made.choose(digital)
    made.reading.spots = [{ ...emptySpot(), value_pct: '0.21' }]
    made.reading.sure = true
    expect(made.payload()).toEqual({ instrument_id: 9, kind: 'digital', zero_pct: '0.03', spots: [{ value_pct: '0.21' }], sure: true })
    scope.stop()
  })

  it('forgets what was read with another instrument, and that somebody was sure of it', () => {
    const { made, scope } = within(() => useMeasuring([ruler, teeth]))
    made.reading.spots = [{ ...emptySpot(), length_mm: '306' }]
    made.reading.sure = true
    made.choose(teeth)
    expect([made.reading.spots, made.reading.sure]).toEqual([[emptySpot()], false])
    scope.stop()
  })

  it('sends nothing of a bench without instruments that could be wrong', () => {
    const { made, scope } = within(() => useMeasuring([]))
    expect(made.payload()).toEqual({ instrument_id: null, kind: 'ruler', pitches: '', spots: [], sure: false })
    scope.stop()
  })

  it('knows a spot that was read by what its instrument reads', () => {
    expect([
      isRead({ ...emptySpot(), length_mm: '305' }, 'ruler'),
      isRead({ ...emptySpot(), length_mm: '305' }, 'digital'),
      isRead({ ...emptySpot(), value_pct: '0' }, 'digital'),
      isRead({ ...emptySpot(), seats: { '0.5': '' } }, 'drop_in'),
      isRead({ ...emptySpot(), seats: { '0.5': 'part' } }, 'drop_in'),
      isRead(emptySpot(), undefined),
    ]).toEqual([true, false, true, false, true, false])
    expect([isSame(ruler, { ...ruler }), isSame(ruler, teeth), isSame(digital, of('digital', 8)), isSame(ruler, undefined)]).toEqual([
      true,
      false,
      false,
      false,
    ])
  })
})

describe('a timer', () => {
  it.each([
    [0, '0:00'],
    [9, '0:09'],
    [245, '4:05'],
    [3599, '59:59'],
    [3600, '1:00:00'],
    [3845, '1:04:05'],
    [36_000, '10:00:00'],
  ])('shows %i seconds as %s', (seconds, digits) => expect(timerDigits(seconds)).toBe(digits))
})
