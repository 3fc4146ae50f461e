/** A guided job as the server tells it. Steps are named by their index. */
export interface JobStep {
  code: string
  title: string
  text: string
  again: { title: string; text: string } | null
  seconds: number | null
  againFrom: number | null
  /** The step with whose end the timer started; null: with this one. */
  since: number | null
  holds: boolean
  sign: string | null
  skippable: boolean
  asks: { value: string; title: string }[]
  leavable: boolean
  chains: { id: number; name: string }[]
  ticks: { key: string; text: string }[]
  question: { yes: string; no: string } | null
  cautions: string[]
  subject: string
  time: string
}

export interface JobNow {
  position: number
  step: number
  round: number
  seconds: number | null
  gone: number
  paused: boolean
  signed: boolean
}

export interface JobState {
  now: number
  turns: { position: number; step: number; round: number; answer: string | null; end: number | null }[]
  ahead: number[]
  current: JobNow | null
  begun: boolean
  ended: boolean
  givenUp: boolean
  about: string
  notes: string[]
  recorded: { text: string; undone: boolean } | null
  /** Of a strip. */
  residues?: { name: string; share: number; text: string; seen: string | null; done: boolean }[]
  /** Of a pot day. */
  axis?: TimeAxis
  bath?: Bath & { text: string; since: string; expected: string; over: string | null; silent: boolean }
  dips?: RecordedDip[]
}

export interface Job extends JobState {
  id: string
  kind: 'strip' | 'pot_day'
  title: string
  chains: string[]
  chainIds: number[]
  /** How fast the server's clock runs: 1 but for a demonstration. */
  speed: number
  units: { temperature: string; mass: string }
  steps: JobStep[]
  dripOnly?: boolean
  stretches?: { key: string; text: string; time: string; steps: number[] }[]
  pot?: { id: number; name: string }
  aboutPot?: string
  planned?: string
}

/** Lanes of blocks on one time axis; Unix seconds. */
export interface TimeAxis {
  from: number
  until: number
  now: number | null
  nowText: string
  marks: { at: number; text: string }[]
  lanes: {
    name: string
    blocks: { code: string; text: string; title: string; from: number; to: number; state: 'done' | 'now' | 'ahead' }[]
  }[]
}

/** A bath over time: Unix seconds and °C. */
export interface Bath {
  limit: number
  melts: [number, number]
  from: number
  until: number
  measured: [number, number][]
  predicted: [number, number][]
  marks: { at: number; text: string }[]
}

export interface RecordedDip {
  id: number
  chain: string
  date: string
  time: string
  soak: string
  temp: string
  pickup: string
  rinsed: boolean
}

export type TapKind = 'done' | 'again' | 'pause' | 'resume' | 'longer' | 'sign' | 'skip' | 'note'

export interface TapAbout {
  text?: string
  celsius?: string
  waxed?: string
  chain?: number
  before_g?: string
  after_g?: string
}

export interface Tap {
  id: string
  kind: TapKind
  position: number
  at: number
  ticks: string[]
  about?: TapAbout
}
