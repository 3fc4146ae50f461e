import type { Page } from '@inertiajs/core'
import { httpLines } from '@/composables/http'
import { whenIdle } from '@/composables/lazily'
import { device, type KeptPage } from './device'
import { answers } from './reach'

const MOST = 150
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

/** The state that is being fetched, or that cannot be; and which of its pages came last: it goes on behind it. */
let fetching: { state: string; stop: AbortController } | null = null
let come = { state: '', last: '' }

/**
 * Fetches what is to open without the machine, once for each state of the workshop and in one question; a newer state begins anew.
 * Whatever could not be reached is left for the next time that it is asked to.
 */
export async function fetchAhead(page: Page): Promise<void> {
  const here = page.props.here
  if (!here || page.props.kept || !window.isSecureContext) return
  const state = [here.stay, here.revision, here.calendar.today, page.version].join(' ')
  if (fetching?.state === state || localStorage.getItem(FETCHED) === state) return
  fetching?.stop.abort()
  const mine = (fetching = { state, stop: new AbortController() })
  if (come.state !== state) come = { state, last: '' }
  const came = await fetchAll(page.version, come, mine.stop.signal)
  if (mine !== fetching) return
  if (came === 'all') localStorage.setItem(FETCHED, state)
  else if (came === 'later') fetching = null
}

/** Nothing of what is on its way is kept any more, nor what is kept. */
export async function forgetPages(): Promise<void> {
  forgotten++
  fetching?.stop.abort()
  fetching = null
  come = { state: '', last: '' }
  localStorage.removeItem(FETCHED)
  await (await device()).clear('pages')
}

/** A page that is to open without the machine; null: not for this person, or one that the machine cannot make. */
interface Ahead {
  url: string
  title: string
  page: Page | null
}

/** Whether all of them came, but for those that the machine cannot make; or may come later; or not, as long as this state is shown. */
async function fetchAll(version: string | null, come: { last: string }, stop: AbortSignal): Promise<'all' | 'later' | 'never'> {
  // A browser that keeps nothing fetches nothing.
  await device()
  // Whoever is on the way to another page is not held up.
  await pause(SETTLED_MS)
  const before = come.last
  const kept: Promise<void>[] = []
  const take = ({ url, title, page }: Ahead) => {
    if (stop.aborted) return
    come.last = url
    // The scripts that are here show no page of another version.
    if (page?.version === version) kept.push(keepPage(page, title))
  }
  const wrong = await httpLines<Ahead>('get', `/offline/pages?after=${encodeURIComponent(before)}`, undefined, stop, take)
  await Promise.all(kept)
  if (wrong) return Object.keys(wrong).length ? 'never' : 'all'
  // A machine that answers, but nothing of this, is not asked again and again.
  return come.last === before && !stop.aborted && (await answers()) ? 'never' : 'later'
}
