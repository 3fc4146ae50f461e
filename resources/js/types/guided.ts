import type { JobEventKind } from './server'

/** What was typed beside a tap. */
export interface TapAbout {
  text?: string
  celsius?: string
  waxed?: string
  chain?: number
  before_g?: string
  after_g?: string
  ml?: string
  teeth?: string
}

/** A tap on a guided job, with the instant of its own. */
export interface Tap {
  id: string
  kind: JobEventKind
  position: number
  at: number
  ticks: string[]
  about?: TapAbout
}
