import type { SearchView } from '@/types/server'

/** What is looked for, as an address carries it; what was not said is left out. */
export function queryOf(search: Partial<SearchView> & { page?: number }): Record<string, string> {
  const said = Object.entries(search).filter(([name, value]) => value !== '' && value !== null && (name !== 'page' || Number(value) > 1))
  return Object.fromEntries(said.map(([name, value]) => [name, String(value)]))
}

export const isLooking = (search: SearchView) => Object.keys(queryOf({ ...search, sort: '' })).length > 0
