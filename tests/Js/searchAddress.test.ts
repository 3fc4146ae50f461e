import { describe, expect, it } from 'vitest'
import { isLooking, queryOf } from '@/composables/searchAddress'

const nothing = { text: '', bike: null, chain: null, condition: '', from: '', to: '', sort: '' }

describe('the address of a search', () => {
  it('carries what was said, and no page before the second', () => {
    expect(queryOf({ ...nothing, bike: 3, sort: '-distance', page: 1 })).toEqual({ bike: '3', sort: '-distance' })
    expect(queryOf({ ...nothing, text: 'wet', page: 2 })).toEqual({ text: 'wet', page: '2' })
  })

  it('looks for something only where something narrows the list', () => {
    expect(isLooking({ ...nothing, sort: 'bike' })).toBe(false)
    expect(isLooking({ ...nothing, to: '2026-10-31' })).toBe(true)
  })
})
