import type { Bath, TimeAxis } from './job'

export interface PotDayChain {
  id: number
  name: string
  word: string
  detail: string
  onBike: boolean
  first: boolean
  waxed: boolean
  rinse: string
  refusal: { code: string; text: string } | null
  proposed: boolean
}

export interface PotChoice {
  id: number
  name: string
  empty: boolean
  about: string
  target: string
  limit: string
}

export interface Choice {
  value: string
  title: string
}

export interface PotDayPlan {
  lines: string[]
  steps: { at: string; title: string; text: string; subject: string; lasts: string }[]
  dips: { chain: string; batch: number; soak: string; because: string; shock: string }[]
  warnings: { text: string; forbids: boolean }[]
  unmeasured: string | null
  later: boolean
  forbidden: boolean
  target: string
  axis: TimeAxis
  bath: Bath
}
