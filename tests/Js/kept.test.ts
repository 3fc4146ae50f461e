import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { device, type KeptEntry } from '@/offline/device'
import { discard, entries, keep, mending, readEntries, refused, send, tryAgain, waiting } from '@/offline/entries'
import { kindOf, lacks, sameBike, touches } from '@/offline/kinds'
import { fetchAhead, forgetPages, keepSoon } from '@/offline/pages'
import { offline } from '@/offline/reach'
import { leaveNothing, wipe } from '@/offline/wipe'
import { newActionId } from '@/composables/useActionForm'
import { serveWith, type Reply, type Request } from './support'

const WALL = [
  { id: 1, name: 'Heron', fitted: { id: 11, name: 'Heron A' }, hanging: [{ id: 12, name: 'Heron B' }] },
  { id: 2, name: 'Tram', fitted: { id: 21, name: 'Tram A' }, hanging: [] },
]
const page = vi.hoisted(() => ({ props: {} as Record<string, unknown> }))
vi.mock('@inertiajs/vue3', () => ({ usePage: () => page, router: { reload: () => undefined, on: () => undefined }, useForm: () => ({}) }))

const calendar = { months: ['Jan'], twelveHours: false, zone: 'UTC', nowS: 0 }
const ride = (bike: number, distance: number) => ({
  action_id: newActionId(),
  bike_id: bike,
  distance,
  condition: 'dry',
  date: '2026-01-02',
  time: '19:20',
})
const kept = (bike: number, distance: number) => keep('post', '/rides', ride(bike, distance))

beforeEach(async () => {
  page.props = {
    here: { stay: '/offline/stays/1/1?signature=a', distanceUnit: 'km', calendar },
    rails: WALL,
    forms: { conditions: [], bikes: [] },
  }
  localStorage.clear()
  offline.value = true
  mending.value = null
  serveWith(() => null)
  await wipe('/offline/stays/1/1?signature=a')
  await wipe('/offline/stays/1/2?signature=b')
  await readEntries()
})
describe('what is written without the machine', () => {
  it('is what a garage writes, and says which bikes it is about', () => {
    expect(kindOf('post', '/bikes/3/fittings')).toBe('swap')
    expect(kindOf('put', '/rides/3')).toBeNull()
    expect(kindOf('post', '/bikes/3/fittings/led')).toBeNull()
    expect([lacks('ride', { distance: '', hours: '' }), lacks('ride', { hours: '2' }), lacks('dip', { chains: [] })]).toEqual([
      'distance',
      null,
      'chains',
    ])
    expect(touches('/dips', { chains: [12, 21] }, WALL as never)).toEqual({ bikes: [1, 2], chains: [12, 21] })
    expect(touches('/bikes/1/fittings', { chain_id: 12 }, WALL as never)).toEqual({ bikes: [1], chains: [12, 11] })
    expect([sameBike([1], [1, 2]), sameBike([1], [2]), sameBike([], [2])]).toEqual([true, false, true])
  })

  it('outlasts the page, goes out once there is an answer, and is then gone from here', async () => {
    await kept(1, 31)
    await keep('post', '/bikes/1/fittings', { action_id: newActionId(), chain_id: 12, date: '2026-01-02', time: '19:30' })
    await send()
    entries.value = []
    await readEntries()
    expect(entries.value.map((one) => [one.kind, one.subject, one.facts])).toEqual([
      ['ride', 'Heron', '31 km · 2 Jan 2026, 19:20'],
      ['swap', 'Heron → Heron B', '2 Jan 2026, 19:30'],
    ])
    const asked = serveWith(() => ({ status: 204 }))
    await send()
    expect(asked.map((one) => one.url)).toEqual(['/rides', '/bikes/1/fittings'])
    expect([entries.value, offline.value]).toEqual([[], false])
  })

  it('comes back with its reason where it is refused; what follows on the same bike waits, another bike goes on', async () => {
    for (const [bike, km] of [
      [1, 1],
      [1, 2],
      [2, 3],
    ] as const)
      await kept(bike, km)
    const asked = serveWith(({ body }) =>
      (body as { distance: number }).distance === 1 ? { status: 422, body: { errors: { distance: ['Too far.'] } } } : { status: 204 },
    )
    await send()
    expect(asked.map((one) => (one.body as { distance: number }).distance)).toEqual([1, 3])
    expect(refused.value.map((one) => [one.data.distance, one.refused?.errors])).toEqual([[1, { distance: 'Too far.' }]])
    expect(waiting.value.map((one) => one.data.distance)).toEqual([2])
    // Put right, it takes its old place before what was made after it.
    mending.value = refused.value[0] ?? null
    serveWith(() => null)
    await keep('post', '/rides', { ...refused.value[0]?.data, distance: 9 })
    await send()
    expect(entries.value.map((one) => one.data.distance)).toEqual([9, 2])
    const then = serveWith(() => ({ status: 204 }))
    await send()
    expect(then.map((one) => (one.body as { distance: number }).distance)).toEqual([9, 2])
  })

  it('can be sent again or discarded by hand, and waits for whoever has to sign in first', async () => {
    await kept(1, 1)
    await kept(2, 2)
    serveWith(() => ({ status: 401, body: { message: 'Sign in.' } }))
    await send()
    expect(waiting.value).toHaveLength(2)
    serveWith(() => ({ status: 403, body: { message: 'Not yours.' } }))
    await send()
    expect(refused.value.map((one) => one.refused?.errors)).toEqual([{ page: 'Not yours.' }, { page: 'Not yours.' }])
    serveWith(() => ({ status: 500, body: { message: 'Server Error' } }))
    await tryAgain(refused.value[1] as KeptEntry)
    expect(refused.value[1]?.refused).toEqual({ status: 500, errors: { page: 'kept.failed' } })
    const [first, second] = refused.value as [KeptEntry, KeptEntry]
    await discard(first)
    serveWith(() => ({ status: 204 }))
    await tryAgain(second)
    expect(entries.value).toEqual([])
  })

  it('is not shown to, and not sent by, somebody else; and is deleted once its person has been removed', async () => {
    await kept(1, 1)
    await (await device()).put('pages', { url: '/', title: 'Shed', page: { props: {} } as never, atMs: 1 })
    serveWith(() => ({ body: { stays: true } }))
    expect(await leaveNothing()).toBe(1)
    expect(await (await device()).count('pages')).toBe(0)
    page.props.here = { stay: '/offline/stays/1/2?signature=b', distanceUnit: 'km', calendar }
    const asked = serveWith(() => ({ status: 204 }))
    await readEntries()
    await send()
    expect([entries.value, asked]).toEqual([[], []])
    // Of two people only the one who was removed loses what was not sent.
    serveWith(() => null)
    await kept(2, 2)
    await send()
    serveWith(({ url }) => ({ body: { stays: url.endsWith('b') } }))
    expect(await leaveNothing()).toBe(1)
  })

  it('is taken once each and in the order of each bike, whatever is cut: 300 evenings', async () => {
    let seed = 1
    const random = (below: number) => (seed = (seed * 48271) % 2147483647) % below
    for (let evening = 0; evening < 300; evening++) {
      // The machine takes an id once, and now and then its answer is lost on the way, or the question before it.
      const taken: { id: string; bike: number; at: number }[] = []
      const machine = ({ body }: Request): Reply => {
        const { action_id: id, bike_id: bike, distance: at } = body as ReturnType<typeof ride>
        if (random(4) === 0) return null
        if (!taken.some((one) => one.id === id)) taken.push({ id, bike, at })
        return random(4) === 0 ? null : { status: 204 }
      }
      serveWith(machine)
      const made = 3 + random(6)
      for (let i = 0; i < made; i++) {
        await kept(1 + random(2), i)
        if (random(3) === 0) await send()
      }
      for (let i = 0; i < 60 && entries.value.length; i++) await send()
      await send()
      expect(taken.map((one) => one.at).sort((a, b) => a - b)).toEqual(Array.from({ length: made }, (_, i) => i))
      for (const bike of [1, 2]) {
        const order = taken.filter((one) => one.bike === bike).map((one) => one.at)
        expect(order).toEqual([...order].sort((a, b) => a - b))
      }
      expect(entries.value).toEqual([])
    }
  }, 60_000)
})

describe('what a device fetches ahead', () => {
  const here = { stay: '/offline/stays/1/1?signature=a', revision: 7, calendar: { today: '2026-01-02' } }
  const shown = { url: '/', component: 'Shed', version: '1', props: { here } } as never
  const newer = { ...(shown as object), props: { here: { ...here, revision: 8 } } } as never
  const pages = async () => (await device()).getAllKeys('pages')
  const made = (url: string) => ({ url, title: url, page: { url, component: 'Page', version: '1', props: { here } } })
  const AHEAD = [made('/'), { url: '/gone', title: '/gone', page: null }, made('/pot'), made('/help')]
  const last = (url: string) => new URLSearchParams(url.split('?')[1]).get('after')
  const after = (url: string) => AHEAD.findIndex((one) => one.url === last(url)) + 1
  const machine = (url: string): Reply => (url.startsWith('/offline/pages') ? { lines: AHEAD.slice(after(url)) } : {})
  // Only its pauses are none.
  beforeEach(() => {
    offline.value = false
    vi.stubGlobal('isSecureContext', true)
    const soon = globalThis.setTimeout
    vi.stubGlobal('setTimeout', (then: () => void) => soon(then))
  })
  afterEach(() => vi.unstubAllGlobals())

  it('is fetched once for each state, in one question, and taken up again where the machine was out of reach', async () => {
    serveWith(({ url }) => (url === '/manifest.webmanifest' ? null : { lines: AHEAD.slice(0, 4), cut: true }))
    await fetchAhead(shown)
    expect(await pages()).toEqual(['/', '/pot'])
    // What has come is not asked for again.
    const later = serveWith(({ url }) => machine(url))
    await fetchAhead(shown)
    expect([later.map((one) => one.url), await pages()]).toEqual([['/offline/pages?after=%2Fpot'], ['/', '/help', '/pot']])
    const asked = serveWith(({ url }) => machine(url))
    await fetchAhead(shown)
    expect(asked).toEqual([])
    // A newer state begins anew.
    await fetchAhead(newer)
    expect([asked.map((one) => one.url), localStorage.getItem('dripel.kept')]).toEqual([
      ['/offline/pages?after='],
      expect.stringContaining(' 8 '),
    ])
  })

  it('is stopped by a newer state, and keeps no page of another version', async () => {
    let then: Promise<void> | undefined
    serveWith(({ url }) => {
      then ??= fetchAhead(newer)
      return machine(url)
    })
    await fetchAhead(shown)
    await then
    expect(localStorage.getItem('dripel.kept')).toContain(' 8 ')
    await wipe(here.stay)
    serveWith(() => ({ lines: [{ ...made('/'), page: { ...made('/').page, version: '2' } }, made('/pot')] }))
    await fetchAhead(shown)
    expect(await pages()).toEqual(['/pot'])
  })

  it('keeps no page that the browser comes to only after its person signed out', async () => {
    const later: (() => void)[] = []
    vi.stubGlobal('requestIdleCallback', (act: () => void) => later.push(act))
    keepSoon(shown)
    await forgetPages()
    keepSoon({ ...(shown as object), url: '/pot' } as never)
    later.forEach((act) => act())
    await vi.waitFor(async () => expect(await (await device()).getAllKeys('pages')).toEqual(['/pot']))
    vi.unstubAllGlobals()
  })

  it('does not go on asking a machine that does not let it in', async () => {
    const asked = serveWith(() => ({ status: 401 }))
    await fetchAhead({ ...(shown as object), version: '2' } as never)
    await fetchAhead({ ...(shown as object), version: '2' } as never)
    expect([asked.length, localStorage.getItem('dripel.kept')]).toEqual([1, null])
  })

  it('is asked for again only where something comes of it', async () => {
    const asked = serveWith(({ url }) => (url === '/manifest.webmanifest' ? {} : { lines: AHEAD.slice(after(url), 3), cut: true }))
    await fetchAhead(shown)
    await fetchAhead(shown)
    await fetchAhead(shown)
    expect(asked.map((one) => one.url)).toEqual(['/offline/pages?after=', '/offline/pages?after=%2Fgone', '/manifest.webmanifest'])
  })

  it('leaves nothing behind of a page that is under way while its person signs out', async () => {
    let gone: Promise<void> | undefined
    serveWith(({ url }) => {
      gone ??= wipe(here.stay)
      return machine(url)
    })
    await fetchAhead(shown)
    await gone
    expect([await pages(), localStorage.getItem('dripel.kept')]).toEqual([[], null])
  })
})
