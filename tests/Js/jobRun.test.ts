import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { afterTap, LONGER_S, type Standing } from '@/composables/jobRun'
import type { JobEventKind, JobNow } from '@/types/server'
import { step } from './support'

interface Run {
  started: number
  steps: { seconds: number | null; againFrom: number | null; since: number | null; holds: boolean }[]
  taps: { kind: JobEventKind; position: number; at: number; then: JobNow | null; ahead: number[] }[]
}
const file = JSON.parse(readFileSync('tests/Core/Guided/data/job-runs.json', 'utf8')) as { runs: Run[] }

const begin = (steps: Run['steps']): Standing => ({
  current: { position: 0, step: 0, round: 1, seconds: steps[0]?.seconds ?? null, gone: 0, paused: false, signed: false },
  turns: [{ position: 0, step: 0, round: 1, answer: null, end: null }],
  ahead: steps.map((_, i) => i).slice(1),
})

describe('the engine of the page', () => {
  it.each(file.runs.map((run, n) => [n, run] as const))('goes where the server goes: run %i', (_, run) => {
    let at = begin(run.steps)
    let since = run.started
    for (const tap of run.taps) {
      const gone = Math.max(0, (at.current?.gone ?? 0) + (at.current?.paused ? 0 : tap.at - since))
      at = afterTap(at, run.steps, tap, gone)
      since = tap.at
      expect(at.current).toEqual(tap.then)
      expect(at.ahead).toEqual(tap.ahead)
    }
  })

  it('leaves a job alone that has moved on, or is over', () => {
    const steps = [step(), step()]
    const at = begin(steps)
    expect(afterTap(at, steps, { kind: 'done', position: 3, at: 1010 }, 10)).toBe(at)
    const over: Standing = { ...at, current: null }
    expect(afterTap(over, steps, { kind: 'done', position: 0, at: 1010 }, 10)).toBe(over)
  })

  it('stays where it is for a note, a pause and a minute more', () => {
    const steps = [step({ seconds: 60 })]
    const at = begin(steps)
    const kinds = (['note', 'pause', 'resume', 'longer'] as const).map(
      (kind) => afterTap(at, steps, { kind, position: 0, at: 1020 }, 20).current,
    )
    expect(kinds.map((now) => [now?.position, now?.gone, now?.paused, now?.seconds])).toEqual([
      [0, 20, false, 60],
      [0, 20, true, 60],
      [0, 20, false, 60],
      [0, 20, false, 60 + LONGER_S],
    ])
  })

  it('keeps a sign until the time is up too, and then is done', () => {
    const steps = [step({ seconds: 60, holds: true, sign: 'bubbles' }), step()]
    const early = afterTap(begin(steps), steps, { kind: 'sign', position: 0, at: 1030 }, 30)
    expect([early.current?.signed, early.current?.step]).toEqual([true, 0])
    const late = afterTap(begin(steps), steps, { kind: 'sign', position: 0, at: 1061 }, 61)
    expect([late.current?.step, late.turns[0]?.answer]).toEqual([1, 'done'])
  })

  it('counts rounds, and a timer that began with an earlier step', () => {
    const steps = [step(), step({ seconds: 600, since: 0 }), step({ againFrom: 0 })]
    let at = afterTap(begin(steps), steps, { kind: 'done', position: 0, at: 1100 }, 100)
    expect(at.current).toMatchObject({ step: 1, gone: 0, seconds: 600 })
    at = afterTap(at, steps, { kind: 'done', position: 1, at: 1700 }, 600)
    at = afterTap(at, steps, { kind: 'again', position: 2, at: 1710 }, 10)
    expect(at.current).toMatchObject({ step: 0, round: 2, position: 3 })
    expect(at.ahead).toEqual([1, 2])
    at = afterTap(at, steps, { kind: 'done', position: 3, at: 1750 }, 40)
    expect(at.current).toMatchObject({ step: 1, round: 2, gone: 0 })
  })
})
