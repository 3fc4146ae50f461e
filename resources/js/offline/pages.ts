import type { Page } from '@inertiajs/core'
import { http, type Answer } from '@/composables/http'
import { whenIdle } from '@/composables/lazily'
import { device, type KeptPage } from './device'
import { answers, offline } from './reach'

const MOST = 150
const BETWEEN_MS = 150
const SETTLED_MS = 2000

/** The address of a page without what only says where on it one was. */
const addressOf = (url: string): string => url.replace(/#.*$/, '')

/** Keeps a page as it came, but for what was only to be told once. Pages before the door and pages from this device are not kept. */
export async function keepPage(page: Page, title = document.title.replace(/ · Dripel$/, '')): Promise<void> {
  if (!page.props.here || page.props.kept) return
  const props = { ...page.props, done: null, invitation: null, calendarAddress: null, errors: {} }
  const kept: KeptPage = JSON.parse(JSON.stringify({ url: addressOf(page.url), title, page: { ...page, props }, atMs: Date.now() }))
  const db = await device()
  await db.put('pages', kept)
  const urls = await db.getAllKeys('pages')
  if (urls.length <= MOST) return
  const oldest = (await db.getAll('pages')).sort((a, b) => a.atMs - b.atMs).slice(0, urls.length - MOST)
  await Promise.all(oldest.map((one) => db.delete('pages', one.url)))
}

/** How often what is kept was forgotten. */
let forgotten = 0
/** Keeps it once the browser has nothing else to do; not where its person has signed out by then. */
export function keepSoon(page: Page, title = document.title.replace(/ · Dripel$/, '')): void {
  const before = forgotten
  whenIdle(() => void (before === forgotten && keepPage(page, title).catch(() => undefined)))
}

/** Puts something newer into a page that is kept, as a guided job does while it runs. */
export async function renewKept(url: string, props: Record<string, unknown>): Promise<void> {
  const db = await device()
  const kept = await db.get('pages', url)
  if (kept)
    await db.put(
      'pages',
      JSON.parse(JSON.stringify({ ...kept, page: { ...kept.page, props: { ...kept.page.props, ...props } }, atMs: Date.now() })),
    )
}

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

/** The last state that was fetched ahead: for whom, at which revision, on which day. */
const FETCHED = 'dripel.kept'

/** The state that is being fetched, or that cannot be; and which of its pages have come: those are not asked for again. */
let fetching: string | null = null
let got = { state: '', urls: new Set<string>() }

/**
 * Fetches what is to open without the machine, once for each state of the workshop, one page after the other; a newer state begins anew.
 * Whatever could not be reached is left for the next time that it is asked to.
 */
export async function fetchAhead(page: Page): Promise<void> {
  const here = page.props.here
  if (!here || page.props.kept || !window.isSecureContext) return
  const state = [here.stay, here.revision, here.calendar.today, page.version].join(' ')
  if (fetching === state || localStorage.getItem(FETCHED) === state) return
  fetching = state
  if (got.state !== state) got = { state, urls: new Set() }
  const came = await fetchAll(page.version, got.urls, () => fetching === state)
  if (came === 'all') localStorage.setItem(FETCHED, state)
  else if (came === 'later' && fetching === state) fetching = null
}

/** Nothing of what is on its way is kept any more, nor what is kept. */
export async function forgetPages(): Promise<void> {
  forgotten++
  fetching = null
  got = { state: '', urls: new Set() }
  localStorage.removeItem(FETCHED)
  await (await device()).clear('pages')
}

/** Whether all of them came, but for those that the machine cannot make; or may come later; or not, as long as this state is shown. */
async function fetchAll(version: string | null, come: Set<string>, wanted: () => boolean): Promise<'all' | 'later' | 'never'> {
  // A browser that keeps nothing fetches nothing.
  await device()
  // Whoever is on the way to another page is not held up.
  await pause(SETTLED_MS)
  const list = wanted() ? await http<{ url: string; title: string }[]>('get', '/offline/pages') : null
  if (!list) return 'later'
  if (!list.ok) return 'never'
  for (const one of list.body.filter(({ url }) => !come.has(url))) {
    if (offline.value || !wanted()) return 'later'
    const fetched = await fetchPage(one.url, version)
    if (!wanted() || (fetched === null && !(await answers()))) return 'later'
    if (fetched?.ok) await keepPage(fetched.body, one.title)
    come.add(one.url)
    await pause(BETWEEN_MS)
  }
  return wanted() ? 'all' : 'later'
}

/** A page and what comes after it; null: no answer, or none that can be read. */
async function fetchPage(url: string, version: string | null): Promise<Answer<Page> | null> {
  const headers = {
    'X-Dripel-Beside': '1',
    'X-Inertia': 'true',
    'X-Inertia-Version': version ?? '',
    Accept: 'text/html, application/xhtml+xml',
  }
  const first = await http<Page>('get', url, undefined, { headers })
  const later = Object.values(first?.body.deferredProps ?? {}).flat()
  if (!first?.ok || !later.length) return first
  const rest = await http<Page>('get', url, undefined, {
    headers: { ...headers, 'X-Inertia-Partial-Component': first.body.component, 'X-Inertia-Partial-Data': later.join() },
  })
  return rest && { ...rest, body: { ...first.body, props: { ...first.body.props, ...rest.body.props } } }
}
