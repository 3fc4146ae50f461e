/** A guided job as the server tells it. Steps are named by their index. */
export interface JobStep {
  code: string
  title: string
  text: string
  again: { title: string; text: string } | null
  seconds: number | null
  againFrom: number | null
  leavable: boolean
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
}

export interface JobState {
  now: number
  turns: { position: number; step: number; round: number; answer: string | null }[]
  ahead: number[]
  current: JobNow | null
  ended: boolean
  givenUp: boolean
  about: string
  residues: { name: string; share: number; text: string; seen: string | null; done: boolean }[]
  recorded: { text: string; undone: boolean } | null
}

export interface Job extends JobState {
  id: string
  title: string
  chains: string[]
  chainIds: number[]
  dripOnly: boolean
  steps: JobStep[]
  lanes: { key: string; text: string; time: string; steps: number[] }[]
}

export type TapKind = 'done' | 'again' | 'pause' | 'resume' | 'longer'

export interface Tap {
  id: string
  kind: TapKind
  position: number
  at: number
  ticks: string[]
}
