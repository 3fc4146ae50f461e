import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useJob } from '@/composables/useJob'
import type { Tap } from '@/types/guided'
import { job, serveWith, settle, step, within, type Reply } from './support'

vi.mock('@inertiajs/vue3', () => ({ usePage: () => ({ props: {} }) }))
const KEY = 'dripel-job-a1'
const queued = () => JSON.parse(localStorage.getItem(KEY) ?? '[]') as Tap[]
const fresh = (position: number, steps = 3) => {
  const made = job(Array.from({ length: steps }, () => step({ seconds: 60 })))
  return {
    ...made,
    now: 1000 + 60 * position,
    current: { position, step: position, round: 1, seconds: 60, gone: 0, paused: false, signed: false },
    ahead: made.ahead.slice(position),
  }
}

describe('a guided job on this device', () => {
  beforeEach(() => {
    vi.useFakeTimers({ now: 1_000_000 })
    localStorage.clear()
  })
  afterEach(() => {
    vi.useRealTimers()
    vi.unstubAllGlobals()
  })

  it('shows a tap at once, sends it with its time, and takes the answer in its place', async () => {
    const asked = serveWith(() => ({ body: fresh(1) }))
    const { made, scope } = within(() => useJob(job([step({ seconds: 60 }), step({ seconds: 60 }), step()])))
    made.tap('done', ['gloves'])
    expect(made.state.current?.position).toBe(1)
    await settle()
    expect(asked).toHaveLength(1)
    expect(asked[0]).toMatchObject({
      method: 'POST',
      url: '/jobs/a1/taps',
      body: { taps: [{ kind: 'done', position: 0, at: 1000, ticks: ['gloves'] }] },
    })
    expect(queued()).toEqual([])
    expect([made.waiting.value, made.away.value, made.moved.value, made.problem.value]).toEqual([0, false, false, null])
    scope.stop()
  })

  it('goes back only as the server says: it knows how it stood', async () => {
    const asked = serveWith(() => ({ body: fresh(0) }))
    const { made, scope } = within(() => useJob(fresh(1)))
    made.tap('back')
    expect(made.state.current?.position).toBe(1)
    await settle()
    expect(asked[0]).toMatchObject({ body: { taps: [{ kind: 'back', position: 1 }] } })
    expect([made.state.current?.position, made.waiting.value]).toEqual([0, 0])
    scope.stop()
  })

  it('counts by the clock of the server, also where that one runs faster', async () => {
    serveWith(() => null)
    const { made, scope } = within(() =>
      useJob(
        job([step({ seconds: 600 })], {
          speed: 60,
          current: { position: 0, step: 0, round: 1, seconds: 600, gone: 30, paused: false, signed: false },
        }),
      ),
    )
    expect(made.left.value).toBe(570)
    vi.advanceTimersByTime(2000)
    expect(made.left.value).toBe(570 - 120)
    made.tap('pause')
    vi.advanceTimersByTime(5000)
    expect(made.left.value).toBe(570 - 120)
    scope.stop()
  })

  it('keeps taps while the server is away, goes on by itself, and sends them in their order later', async () => {
    let there = false
    const asked = serveWith((): Reply => (there ? { body: fresh(2) } : null))
    const { made, scope } = within(() => useJob(job([step({ seconds: 60 }), step({ seconds: 60 }), step({ seconds: 60 })])))
    made.tap('done')
    await settle()
    vi.advanceTimersByTime(1000)
    made.tap('done')
    await settle()
    expect([made.away.value, made.waiting.value, made.state.current?.position]).toEqual([true, 2, 2])
    expect(queued().map((tap) => [tap.position, tap.at])).toEqual([
      [0, 1000],
      [1, 1001],
    ])
    there = true
    vi.advanceTimersByTime(3000)
    await settle()
    const last = asked[asked.length - 1]
    expect((last?.body as { taps: Tap[] }).taps.map((tap) => tap.position)).toEqual([0, 1])
    expect([made.away.value, made.waiting.value]).toEqual([false, 0])
    scope.stop()
  })

  it('finds what it had not sent after a reload, and draws it again before it is sent', async () => {
    serveWith(() => null)
    localStorage.setItem(KEY, JSON.stringify([{ id: 'x', kind: 'done', position: 0, at: 990, ticks: [] }]))
    const { made, scope } = within(() => useJob(job([step(), step(), step()])))
    await settle()
    expect(made.state.current?.position).toBe(1)
    expect(made.waiting.value).toBe(1)
    scope.stop()
  })

  it('takes the state of the server where the job has moved on (409), and says so', async () => {
    serveWith((request) => (request.method === 'POST' ? { status: 409, body: fresh(2) } : { body: fresh(2) }))
    const { made, scope } = within(() => useJob(job([step(), step(), step()])))
    made.tap('done')
    await settle()
    expect([made.moved.value, made.state.current?.position, made.waiting.value, made.problem.value]).toEqual([true, 2, 0, null])
    scope.stop()
  })

  it('drops what is refused for good (422), says why, and asks where the job stands', async () => {
    const asked = serveWith((request) =>
      request.method === 'POST' ? { status: 422, body: { errors: { ticks: ['Tick the gloves.'] } } } : { body: fresh(0) },
    )
    const { made, scope } = within(() => useJob(job([step(), step(), step()])))
    made.tap('done')
    await settle()
    expect([made.problem.value, made.waiting.value, made.state.current?.position]).toEqual(['Tick the gloves.', 0, 0])
    expect(asked.map((one) => one.url)).toEqual(['/jobs/a1/taps', '/jobs/a1/state'])
    scope.stop()
  })

  it('loses nothing where somebody has to sign in again first (419)', async () => {
    serveWith(() => ({ status: 419, body: { message: 'Signed out.' } }))
    const { made, scope } = within(() => useJob(job([step(), step(), step()])))
    made.tap('done')
    await settle()
    expect([made.problem.value, made.waiting.value]).toEqual(['Signed out.', 1])
    scope.stop()
  })

  it('sends at once what was tapped while it was sending, and asks no more once the job is over', async () => {
    const done = { ...fresh(0), current: null, ended: true }
    const asked = serveWith((request) => ({ body: request.method === 'POST' && asked.length > 1 ? done : fresh(1) }))
    const { made, scope } = within(() => useJob(job([step(), step(), step()])))
    made.tap('done')
    made.tap('done')
    await settle()
    expect(asked.filter((one) => one.method === 'POST').map((one) => (one.body as { taps: Tap[] }).taps.length)).toEqual([1, 1])
    const before = asked.length
    vi.advanceTimersByTime(30_000)
    await settle()
    expect(asked).toHaveLength(before)
    made.tap('done')
    expect(made.waiting.value).toBe(0)
    scope.stop()
  })

  it('looks at a bath twice as often as at a jar', async () => {
    for (const [kind, times] of [
      ['strip', 2],
      ['pot_day', 4],
    ] as const) {
      localStorage.clear()
      const asked = serveWith(() => ({ body: { ...fresh(0) } }))
      const { scope } = within(() => useJob(job([step(), step()], { kind })))
      for (let i = 0; i < 60; i++) {
        vi.advanceTimersByTime(100)
        await settle()
      }
      expect(asked).toHaveLength(times)
      scope.stop()
    }
  })
})
