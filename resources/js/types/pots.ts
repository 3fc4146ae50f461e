/** A pot as it stands: how full and how dirty, in words, with the shares that are drawn. */
export interface Pot {
  id: number
  name: string
  about: string
  caution: string
  empty: boolean
  level: number
  coil: number
  holds: string
  problem: boolean
  since: string
  left: string
  oil: string
  grit: string
  gritShare: number
  max: string
  next: string
  late: boolean
}

export interface PotInBooks extends Pot {
  cost: string
  smear: string
  calibrated: string
  isCalibrated: boolean
  /** Unix seconds, grams, grit. */
  history: [number, number, number][]
  historyAbout: {
    now: number
    from: string
    until: string
    most: string
    needed: number
    neededText: string
    grit: string
    gritLimit: number
  } | null
  probes: { id: number; name: string; seen: string }[]
  heatUps: { value: string; title: string }[]
  entries: { id: number; day: string; text: string }[]
  acts: { value: string; title: string }[]
}
