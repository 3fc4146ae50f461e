import { effectScope, nextTick, type EffectScope } from 'vue'
import { vi } from 'vitest'
import type { JobStepView, JobView } from '@/types/server'

/** What the server would say to a request; in lines, up to where it is cut; null: it cannot be reached. */
export type Reply = { status?: number; body?: unknown; lines?: unknown[]; cut?: boolean } | null
export interface Request {
  method: string
  url: string
  body: unknown
}

/** A server that answers as it is told and keeps what it was asked. */
export function serveWith(answer: (request: Request) => Reply): Request[] {
  const asked: Request[] = []
  vi.stubGlobal('fetch', async (url: string, options: { method: string; body?: string }) => {
    const request = { method: options.method, url, body: options.body === undefined ? undefined : JSON.parse(options.body) }
    asked.push(request)
    const reply = answer(request)
    if (reply === null) throw new TypeError('Failed to fetch')
    const status = reply.status ?? 200
    return {
      ok: status < 400,
      status,
      statusText: `status ${status}`,
      text: async () => (reply.body === undefined ? '' : JSON.stringify(reply.body)),
      body: reply.lines && inLines(reply.lines, reply.cut ?? false),
    }
  })
  return asked
}

/** Each line as it comes; the last one of what is cut comes half. */
function inLines(lines: unknown[], cut: boolean): ReadableStream {
  const bytes = lines.map((line) => new TextEncoder().encode(`${JSON.stringify(line)}\n`))
  return new ReadableStream({
    pull: (to) => {
      const next = bytes.shift()
      if (cut && !bytes.length) to.error(new TypeError('network error'))
      else if (next) to.enqueue(next)
      else to.close()
    },
  })
}

/** Runs a composable as a component would; `stop` is leaving the page. */
export function within<T>(make: () => T): { made: T; scope: EffectScope } {
  const scope = effectScope()
  return { made: scope.run(make) as T, scope }
}

/** Until everything that was begun has come to an end. */
export async function settle(): Promise<void> {
  for (let i = 0; i < 12; i++) {
    await Promise.resolve()
    await nextTick()
  }
}

export function step(more: Partial<JobStepView> = {}): JobStepView {
  return {
    code: 'step',
    title: '',
    text: '',
    again: null,
    seconds: null,
    againFrom: null,
    since: null,
    holds: false,
    sign: null,
    skippable: false,
    asks: [],
    leavable: false,
    liquid: false,
    readingC: null,
    reading: '',
    drawing: null,
    chains: [],
    ticks: [],
    question: null,
    cautions: [],
    subject: '',
    time: '',
    ...more,
  }
}

export function job(steps: JobStepView[], more: Partial<JobView> = {}): JobView {
  return {
    id: 'a1',
    kind: 'strip',
    title: 'Strip',
    layout: [],
    chains: ['Heron A'],
    chainIds: [1],
    speed: 1,
    units: { temperature: 'C', mass: 'g' },
    steps,
    now: 1000,
    turns: [{ position: 0, step: 0, round: 1, answer: null, end: null }],
    ahead: steps.map((_, i) => i).slice(1),
    current: { position: 0, step: 0, round: 1, seconds: steps[0]?.seconds ?? null, gone: 0, paused: false, signed: false },
    begun: true,
    ended: false,
    givenUp: false,
    about: '',
    notes: [],
    recorded: null,
    ...more,
  }
}
