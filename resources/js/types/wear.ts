import type { InstrumentView } from './server'

/** Where a gauge's mark comes to lie. */
export type Seat = 'rests' | 'part' | 'enters'

/** One spot of a reading, as typed. */
export interface Spot {
  length_mm: string
  value_pct: string
  seats: Record<string, Seat | ''>
}

/** A reading as it is being taken. */
export interface Measuring {
  instrument: InstrumentView | undefined
  pitches: string
  zero_pct: string
  spots: Spot[]
  sure: boolean
}
