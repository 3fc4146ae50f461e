import type { InstrumentView } from './server'

/** One spot of a reading, as typed. */
export interface Spot {
  length_mm: string
  value_pct: string
  seats: Record<string, string>
}

/** A reading as it is being taken. */
export interface Measuring {
  instrument: InstrumentView | undefined
  pitches: string
  zero_pct: string
  spots: Spot[]
  sure: boolean
}
