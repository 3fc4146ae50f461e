import type { FormDefaults, Opening, Wear } from './props'

/** Something to measure with. */
export interface Instrument {
  id: number | null
  kind: 'ruler' | 'drop_in' | 'digital'
  name: string
  about: string
  marks: string[]
  pitches: number
  zero: string
}

export interface KeptInstrument extends Instrument {
  uncertainty: string
  marks_text: string
}

export interface Spot {
  length_mm: string
  value_pct: string
  seats: Record<string, string>
}

/** A reading as it is being taken. */
export interface Measuring {
  instrument: Instrument | undefined
  pitches: string
  zero_pct: string
  spots: Spot[]
  sure: boolean
}

/** What a reading would mean. */
export interface Meaning {
  reads: string
  agree: string | null
  uneven: boolean
  verdict: 'keep' | 'measure' | 'retire'
  sentences: string[]
  why: string | null
  unlikely: string | null
  wear: Wear
}

export interface WornChain {
  id: number
  label: string
  name: string
  fitted: boolean
  ready: boolean
  km: string
  mean: number | null
  p10: number | null
  p90: number | null
  now: string
  last: string
  verdict: 'keep' | 'measure' | 'retire' | null
  due: boolean
  sentences: string[]
}

export interface WornPart {
  id: number
  name: string
  km: string
  outlived: string | null
  chains: number
  least: number
  most: number
  warning: string | null
}

/** A cassette, chainring or pair of jockey wheels on its bike. */
export interface PartOnBike extends WornPart {
  slot: string
  opening: Opening | null
}

/** When the chains of a bike get loud. */
export interface Ear {
  sentences: string[]
  cycles: { share: number; loud: boolean; open: boolean; text: string }[]
  quiet: number[]
  interval: number
  intervalText: string
  farText: string
}

export interface WornBike {
  id: number
  name: string
  limit: number
  limitText: string
  school: string
  top: number
  chains: WornChain[]
  even: string | null
  supply: string | null
  parts: WornPart[]
  ear: Ear | null
  advice: { text: string; reason: string; now: string; open: boolean } | null
}

export interface GaugePage {
  bikes: WornBike[]
  instruments: KeptInstrument[]
  gauges: { id: number; name: string }[]
  expected: { points: { interval: string; life: string; text: string }[]; house: boolean; own: string }
  forms: FormDefaults
  unit: string
}
