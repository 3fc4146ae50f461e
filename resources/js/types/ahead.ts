export interface PlanDay {
  date: string
  potDate: string
  label: string
  weekend: boolean
  allowed: boolean
}

export interface LaneDay {
  before: number
  after: number
  ride: number
  swap: string | null
  drip: string | null
  pot: boolean
  kept: string | null
  measure: string | null
  broken: boolean
  text: string
}

export interface PlanLane {
  bike: number
  name: string
  about: string
  days: LaneDay[]
}

export interface PlanPot {
  day: number
  date: string
  label: string
  text: string
  chains: number[]
  pinned: boolean
}

export interface Plan {
  headline: string
  about: string
  feasible: boolean
  blocked: string | null
  broken: string[]
  doubts: string[]
  repairs: { text: string; bottle: boolean; dates: string[] }[]
  bottle: boolean
  pots: PlanPot[]
  days: PlanDay[]
  lanes: PlanLane[]
}
