import type { Page } from '@inertiajs/core'
import { http } from '@/composables/http'
import { device, type KeptPage } from './device'
import { offline } from './reach'

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

let turn = 0

/** Fetches what is to open without the machine, once for each state of the workshop, one page after the other; a newer state begins anew. */
export async function fetchAhead(page: Page): Promise<void> {
  const here = page.props.here
  if (!here || page.props.kept || !window.isSecureContext) return
  const state = [here.stay, here.revision, here.calendar.today, page.version].join(' ')
  if (localStorage.getItem(FETCHED) === state) return
  const mine = ++turn
  // Whoever is on the way to another page is not held up.
  await pause(SETTLED_MS)
  const list = mine === turn ? await http<{ url: string; title: string }[]>('get', '/offline/pages') : null
  if (!list?.ok) return
  for (const one of list.body) {
    if (offline.value || mine !== turn) return
    const fetched = await fetchPage(one.url, page.version)
    if (fetched) await keepPage(fetched, one.title)
    await pause(BETWEEN_MS)
  }
  localStorage.setItem(FETCHED, state)
}

/** A page and what comes after it. */
async function fetchPage(url: string, version: string | null): Promise<Page | null> {
  const headers = {
    'X-Dripel-Beside': '1',
    'X-Inertia': 'true',
    'X-Inertia-Version': version ?? '',
    Accept: 'text/html, application/xhtml+xml',
  }
  const first = await http<Page>('get', url, undefined, { headers })
  if (!first?.ok) return null
  const later = Object.values(first.body.deferredProps ?? {}).flat()
  if (!later.length) return first.body
  const rest = await http<Page>('get', url, undefined, {
    headers: { ...headers, 'X-Inertia-Partial-Component': first.body.component, 'X-Inertia-Partial-Data': later.join() },
  })
  return { ...first.body, props: { ...first.body.props, ...(rest?.ok ? rest.body.props : {}) } }
}
