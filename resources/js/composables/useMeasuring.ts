import { useLocalStorage } from '@vueuse/core'
import { reactive } from 'vue'
import { useDraft } from './useDraft'
import { mending } from '@/offline/entries'
import type { Measuring, Spot } from '@/types/wear'
import type { InstrumentView } from '@/types/server'

export const emptySpot = (): Spot => ({ length_mm: '', value_pct: '', seats: {} })
/** Whether anything was said of a spot yet. */
export function isRead(spot: Spot, kind: InstrumentView['kind'] | undefined): boolean {
  if (kind === 'drop_in') return Object.values(spot.seats).some((seat) => seat !== '')
  return (kind === 'digital' ? spot.value_pct : spot.length_mm) !== ''
}
const name = (instrument: InstrumentView) => `${instrument.kind} ${instrument.id ?? ''}`
/** Whether it is the same one: an answer of the server brings every instrument anew. */
export const isSame = (one: InstrumentView, other: InstrumentView | undefined) => other !== undefined && name(one) === name(other)

/** A reading as it is being taken: begins with the instrument that was used last on this device. */
export function useMeasuring(instruments: InstrumentView[]) {
  const last = useLocalStorage('dripel-instrument', '')
  const begin = instruments.find((one) => name(one) === last.value) ?? instruments[0]
  const reading = reactive<Measuring>({
    instrument: begin,
    pitches: String(begin?.pitches ?? ''),
    zero_pct: begin?.zero ?? '0',
    spots: [emptySpot()],
    sure: false,
  })
  function choose(instrument: InstrumentView): void {
    last.value = name(instrument)
    Object.assign(reading, {
      instrument,
      pitches: String(instrument.pitches),
      zero_pct: instrument.zero,
      spots: [emptySpot()],
      sure: false,
    })
  }
  /** As the server takes it; a spot of which nothing was said yet is left out. */
  function payload() {
    const kind = reading.instrument?.kind ?? 'ruler'
    const spots = reading.spots
      .filter((spot) => isRead(spot, kind))
      .map((spot) => ({
        ...(kind === 'ruler' ? { length_mm: spot.length_mm } : {}),
        ...(kind === 'digital' ? { value_pct: spot.value_pct } : {}),
        ...(kind === 'drop_in'
          ? {
              results: Object.entries(spot.seats)
                .filter(([, seat]) => seat !== '')
                .map(([mark, seat]) => ({ mark_pct: Number(mark), seat })),
            }
          : {}),
      }))
    return {
      instrument_id: reading.instrument?.id ?? null,
      kind,
      ...(kind === 'ruler' ? { pitches: reading.pitches } : {}),
      ...(kind === 'digital' ? { zero_pct: reading.zero_pct } : {}),
      spots,
      sure: reading.sure,
    }
  }
  /** Puts back what `payload` gave. */
  function take(given: Partial<ReturnType<typeof payload>>): void {
    const instrument = instruments.find((one) => one.id === given.instrument_id && one.kind === given.kind) ?? reading.instrument
    Object.assign(reading, {
      instrument,
      pitches: String(given.pitches ?? instrument?.pitches ?? ''),
      zero_pct: given.zero_pct ?? instrument?.zero ?? '0',
      sure: given.sure ?? false,
      spots: given.spots?.length
        ? given.spots.map((spot) => ({
            ...emptySpot(),
            ...spot,
            seats: Object.fromEntries((spot.results ?? []).map((one) => [one.mark_pct, one.seat])),
          }))
        : [emptySpot()],
    })
  }
  useDraft({ data: payload, put: (data) => take(data as ReturnType<typeof payload>) }, { reading: begin?.id ?? null })
  const again = mending.value?.data
  if (mending.value?.kind === 'reading') take(again as Partial<ReturnType<typeof payload>>)
  else if (mending.value?.kind === 'swap' && again?.reading) take(again.reading as Partial<ReturnType<typeof payload>>)
  return { reading, choose, payload }
}
