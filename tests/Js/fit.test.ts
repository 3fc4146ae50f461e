import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
// @ts-expect-error a script without types
import { read } from '../../tools/read-fit.mjs'

it('has beside each FIT file what the independent reader finds in it', () => {
  for (const ride of ['loop', 'south']) {
    const file = `tests/fixtures/fit/${ride}`
    expect(read(`${file}.fit`)).toEqual(JSON.parse(readFileSync(`${file}.json`, 'utf8')))
  }
})
