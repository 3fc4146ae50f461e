import type { Tap } from '@/types/guided'
import type { JobNow, JobStepView, JobTurnView } from '@/types/server'

export const LONGER_S = 60

/** Where a guided job stands: what its engine needs, and no more. */
export interface Standing {
  current: JobNow | null
  turns: JobTurnView[]
  ahead: number[]
}
type Step = Pick<JobStepView, 'seconds' | 'againFrom' | 'since' | 'holds'>

/**
 * Where a tap leads, as the server will have it (core/src/Guided/JobRun): so the job goes on while the server is away. Both engines are held to
 * one file, tests/Core/Guided/data/job-runs.json. The timer of the answer stands at the instant of the tap.
 */
export function afterTap(at: Standing, steps: Step[], tap: Pick<Tap, 'kind' | 'position' | 'at'>, gone: number): Standing {
  const current = at.current
  if (!current || current.position !== tap.position) return at
  const step = steps[current.step]
  const stays = (more: Partial<JobNow>): Standing => ({ ...at, current: { ...current, gone, ...more } })
  const timeIsUp = !step?.holds || gone >= (current.seconds ?? 0)
  if (tap.kind === 'note' || tap.kind === 'back') return stays({})
  if (tap.kind === 'pause' || tap.kind === 'resume') return stays({ paused: tap.kind === 'pause' })
  if (tap.kind === 'longer') return stays({ seconds: (current.seconds ?? 0) + LONGER_S })
  if (tap.kind === 'sign' && !timeIsUp) return stays({ signed: true })

  const from = tap.kind === 'again' ? (step?.againFrom ?? null) : null
  const again = from === null ? [] : steps.map((_, i) => i).slice(from, current.step + 1)
  const [next, ...ahead] = [...again, ...at.ahead]
  const answer = tap.kind === 'sign' ? 'done' : tap.kind
  const turns = at.turns.map((turn) => (turn.position === current.position ? { ...turn, answer, end: tap.at } : turn))
  if (next === undefined) return { current: null, turns, ahead }
  const position = current.position + 1
  const round = turns.filter((turn) => turn.step === next).length + 1
  const since = steps[next]?.since ?? null
  const sinceS = [...turns].reverse().find((turn) => turn.step === since && turn.end !== null)?.end ?? tap.at
  return {
    current: {
      position,
      step: next,
      round,
      seconds: steps[next]?.seconds ?? null,
      gone: Math.max(0, tap.at - sinceS),
      paused: false,
      signed: false,
    },
    turns: [...turns, { position, step: next, round, answer: null, end: null }],
    ahead,
  }
}
