// What fit-file-parser reads of FIT files: beside each, as JSON, what our own reader is held against.
import { readFileSync, writeFileSync } from 'node:fs'
import FitParser from 'fit-file-parser'

export function read(path) {
  let found
  new FitParser({ force: false, mode: 'list', lengthUnit: 'm' }).parse(readFileSync(path), (error, fit) => {
    if (error) throw new Error(`${path}: ${error}`)
    found = fit.records.map((record) => ({
      at: new Date(record.timestamp).getTime() / 1000,
      lat: record.position_lat ?? null,
      lon: record.position_long ?? null,
      metres: record.distance ?? null,
    }))
  })
  return found
}

if (process.argv[1]?.endsWith('read-fit.mjs'))
  for (const path of process.argv.slice(2)) writeFileSync(path.replace(/fit$/, 'json'), JSON.stringify(read(path)) + '\n')
