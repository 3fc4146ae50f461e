export interface Jar {
  id: number
  name: string
  role: string
  roleName: string
  holds: string
  empty: boolean
  since: string
  done: number
  allowed: number | null
  cleanings: string
  because: string
  grease: string
  spent: string | null
  settling: string | null
  inJob: string | null
  hazard: string
  hazardBy: string
  signal: string | null
  volume: string
  entries: { id: number; day: string; text: string }[]
  acts: { value: string; title: string; volume: boolean }[]
}

export interface Bottle {
  id: number
  name: string
  share: number
  left: string
  about: string
  price: string
  values: { volume: string; left: string; opened: string; price: string }
}

export interface SolventChoice {
  value: string
  title: string
  hazard: string
}
