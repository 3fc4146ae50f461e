import type { RailView } from '@/types/server'

export type KeptKind = 'ride' | 'swap' | 'reading' | 'loud' | 'topup' | 'care' | 'dip' | 'commute' | 'oil' | 'strip' | 'brush'
type Data = Record<string, unknown>

const bike = /^\/bikes\/(\d+)\//
const chain = /^\/chains\/(\d+)\//
const empty = (value: unknown) => value === null || value === undefined || value === '' || (Array.isArray(value) && !value.length)

/** What is written down in a garage without the machine, by the address of its form; and the field without which it says nothing. */
const KINDS: { kind: KeptKind; path: RegExp; lacks?: (data: Data) => string | null }[] = [
  { kind: 'ride', path: /^\/rides$/, lacks: (data) => (empty(data.distance) && empty(data.hours) ? 'distance' : null) },
  { kind: 'swap', path: /^\/bikes\/\d+\/fittings$/ },
  { kind: 'reading', path: /^\/chains\/\d+\/readings$/, lacks: (data) => (empty(data.spots) ? 'spots' : null) },
  { kind: 'loud', path: /^\/bikes\/\d+\/noises$/ },
  { kind: 'topup', path: /^\/chains\/\d+\/topups$/, lacks: (data) => (empty(data.distance) ? 'distance' : null) },
  { kind: 'care', path: /^\/chains\/\d+\/cares$/ },
  { kind: 'dip', path: /^\/dips$/, lacks: (data) => (empty(data.chains) ? 'chains' : null) },
  { kind: 'commute', path: /^\/bikes\/\d+\/commute-days$/ },
  { kind: 'oil', path: /^\/chains\/\d+\/oilings$/ },
  { kind: 'strip', path: /^\/chains\/\d+\/strips$/ },
  { kind: 'brush', path: /^\/bikes\/\d+\/brushings$/ },
]

/** Null: it waits for the machine. */
export const kindOf = (method: string, url: string): KeptKind | null =>
  method === 'post' ? (KINDS.find((one) => one.path.test(url))?.kind ?? null) : null

/** The field that has to be filled in before it can be kept. */
export const lacks = (kind: KeptKind, data: Data): string | null => KINDS.find((one) => one.kind === kind)?.lacks?.(data) ?? null

/** The chains and bikes that an entry is about, as far as the wall that this device knows tells. */
export function touches(url: string, data: Data, rails: RailView[]): { bikes: number[]; chains: number[] } {
  const chains = [chain.exec(url)?.[1], data.chain_id, ...(Array.isArray(data.chains) ? data.chains : [])]
    .filter((id) => !empty(id))
    .map(Number)
  const homes = rails.filter((rail) => [rail.fitted, ...rail.hanging].some((one) => one && chains.includes(one.id))).map((rail) => rail.id)
  const bikes = [bike.exec(url)?.[1], data.bike_id].filter((id) => !empty(id)).map(Number)
  const fitted = rails.filter((rail) => bikes.includes(rail.id)).flatMap((rail) => (rail.fitted ? [rail.fitted.id] : []))
  return { bikes: [...new Set([...bikes, ...homes])], chains: [...new Set([...chains, ...fitted])] }
}

/** Whether the order of the two matters. */
export const sameBike = (one: number[], other: number[]): boolean => !one.length || !other.length || one.some((id) => other.includes(id))
