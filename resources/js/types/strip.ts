export interface ProtocolChoice {
  code: string
  name: string
  reason: string
  takes: string
  lines: string[]
  advised: boolean
  dripOnly: boolean
  own: number | null
  solvents: { value: string; title: string }[]
}

export interface PlannedBath {
  solvent: string
  takes: string
  untilClear: boolean
  left: string
  jar: number | null
  into: number | null
  stocked: boolean
  from: { value: number | null; title: string; disabled: boolean }[]
  intoChoices: { value: number | null; title: string }[]
}

export interface StripPlan {
  start: string
  baths: PlannedBath[]
  hazards: { solvent: string; text: string }[]
  lines: string[]
  warnings: string[]
  advised: boolean
}
