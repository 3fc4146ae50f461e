import type { Instrument } from './gauge'

/** What the server sends. Figures and sentences come ready; nothing here is computed in the browser. */
export interface Here {
  person: string
  role: 'owner' | 'member' | 'viewer'
  mayWrite: boolean
  workshop: string
  demo: boolean
  revision: number
  distanceUnit: string
  currency: string
}

export interface Done {
  text: string
  undo: string | null
  key: string
}

export interface Wear {
  limit: number
  mean?: number | null
  p10?: number | null
  p90?: number | null
  due?: boolean
  value: number | null
  lower: number | null
  upper: number | null
  text?: string
  of: string
}

export interface Chain {
  id: number
  label: string
  name: string
  coat: number
  status: string
  word: string
  detail: string
  late: boolean
  ready: boolean
  wantsDip: boolean
  worn: boolean
  waxed: boolean
  unsure: boolean
  leftKm: number
  left: string
  wear: Wear
  wearLine: string
  directional: boolean
  job: string | null
  links?: number[]
  fit?: { note: string; forbids: boolean; text: string }[]
}

export interface Rail {
  id: number
  name: string
  about: string
  fitted: Chain | null
  leftNumber: string | null
  leftWords: string
  until: { before: string; stressed: string; after: string; due: boolean }
  hanging: Chain[]
  offNote: string | null
  best: number | null
}

export interface NextLine {
  key: string
  kind: string
  day: string
  hour: string
  late: boolean
  title: string
  reason: string
  job: string | null
  jar: number | null
  urgent: boolean
  verb:
    | 'dip'
    | 'pot_day'
    | 'wet'
    | 'wipe'
    | 'look'
    | 'swap'
    | 'topup'
    | 'measure'
    | 'retire'
    | 'fit'
    | 'add'
    | 'choose_bike'
    | 'confirm'
    | 'go'
    | 'jar'
    | null
  verbText: string | null
  bike: number | null
  chains: number[]
  subject: string
  swapTo: number | null
  date: string | null
  time: string | null
  rides: number[]
  days: { commute: number; date: string }[]
}

export interface PotChain {
  id: number
  name: string
  word: string
  detail: string
  rust?: boolean
  rinse?: boolean
  proposed: boolean
}

/** A quick link that lies in the drawer. */
export interface SpareLink {
  id: number
  title: string
}

export interface FormDefaults {
  date: string
  time: string
  rideTime: string
  massUnit: string
  bikes: {
    id: number
    name: string
    chain: string | null
    chainId: number | null
    since: { date: string; time: string } | null
    chains: { id: number; label: string }[]
  }[]
  conditions: { value: string; title: string; note: string }[]
  topUp: string
  bottles: { value: number; title: string }[]
  instruments: Instrument[]
  pitchesHint: string
}

export interface Ride {
  id: number
  day: string
  date: string
  time: string | null
  bike: number | null
  bikeName: string
  estimated: boolean
  guess: {
    estimate: number | null
    commute: number | null
    date: string
    values: { distance: string; from: string; to: string; condition: string } | null
  } | null
  km: string
  distance: string
  hours: string | null
  hoursText: string
  condition: string
  conditionName: string
  soaked: boolean
  chain: { id: number; name: string } | null
  left: string | null
}

export interface StripDay {
  date: string
  weekday: string
  number: string
  name: string
  weekend: boolean
  total: string | null
  bars: { share: number; soaked: boolean; estimated: boolean; text: string }[]
}

export interface TimelineEntry {
  type: string
  id: number | null
  day: string
  time: string | null
  date: string
  text: string
  left?: string | null
}

export interface Opening {
  id: number
  of: string
  date: string
  time: string
  km: string
  wax: 'known' | 'unknown' | 'none'
  since_wax: string
  closings: string
}

export interface ChangedChain {
  chain: string
  lines: { name: string; before: string; after: string }[]
}

export interface Why {
  figure: string
  title: string
  formula: string
  source: string
  value: number | null
  unit: string
  lines: {
    code: string
    text: string
    value: string
    number: number | null
    left: string | null
    origin: string
  }[]
}

export interface HistoryLine {
  id: string
  sentence: string
  who: string
  when: string
  undone: boolean
}

/** How worn a chain is and when its limit comes; km and %. */
export interface Forecast {
  sentences: string[]
  why: string
  verdict: 'keep' | 'measure' | 'retire'
  band: [number, number, number, number][]
  readings: { km: number; value: number | null; sigma: number; lower: number | null; upper: number | null }[]
  limit: number
  limitText: string
  now: number
  atLimit: { p10: number; p50: number | null; p90: number | null } | null
  far: number
  farText: string
}
