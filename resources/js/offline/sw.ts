/// <reference lib="webworker" />
import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching'
import { device, type KeptPage } from './device'

declare const self: ServiceWorkerGlobalScope & { __WB_MANIFEST: { url: string; revision: string | null }[] }

/**
 * Without the machine the pages open from this device: what was kept of them (offline/pages.ts) is put into one empty page, which came
 * with the same scripts. With the machine nothing here stands in between.
 */
const SHELL = 'dripel-shell'
/** The labels: their address says what is in them. */
const TEXTS = '/texts/'
const WAITED_MS = 3000
const ASKED_MS = 2000
/** What stands before the app says so when the app does not answer. */
const NOT_THERE = [502, 504]

precacheAndRoute(self.__WB_MANIFEST)
cleanupOutdatedCaches()

self.addEventListener('install', (event) => {
  event.waitUntil(fetchShell())
  void self.skipWaiting()
})
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))
self.addEventListener('push', (event) => event.waitUntil(tell(event.data?.json() as Told | undefined)))
self.addEventListener('notificationclick', (event) => {
  event.notification.close()
  event.waitUntil(self.clients.openWindow((event.notification.data as { url?: string } | null)?.url ?? '/'))
})
self.addEventListener('fetch', (event) => {
  const { request } = event
  if (request.method === 'GET' && new URL(request.url).pathname.startsWith(TEXTS)) return event.respondWith(texts(request))
  const page = request.mode === 'navigate' || request.headers.has('X-Inertia')
  if (request.method !== 'GET' || !page || new URL(request.url).origin !== self.location.origin) return
  event.respondWith(answer(request))
})

interface Told {
  tag: string
  title: string
  text: string
  url: string
}

/** Sent by the machine while Dripel is closed here. Where its page is in sight, that rings by itself. */
async function tell(told: Told | undefined): Promise<void> {
  if (!told) return
  const windows = await self.clients.matchAll({ type: 'window' })
  const seen = windows.some((one) => one.visibilityState === 'visible' && new URL(one.url).pathname === told.url)
  if (seen && told.url !== '/') return
  await self.registration.showNotification(told.title, { body: told.text, tag: told.tag, icon: '/icon.svg', data: { url: told.url } })
}

/** Nobody's page: fetched without a sign-in. */
async function fetchShell(): Promise<void> {
  const cache = await caches.open(SHELL)
  const shell = await fetch('/offline', { cache: 'reload', credentials: 'omit' })
  const address = LABELS.exec(await shell.clone().text())?.[0]
  await cache.put('/offline', shell)
  if (address && !(await keptTexts())) await texts(new Request(address))
}

/** The labels that were asked for last stay: in the language and units of whoever works here. */
async function texts(request: Request): Promise<Response> {
  const cache = await caches.open(SHELL)
  const known = await cache.match(request)
  if (known) return known
  const response = await fetch(request)
  if (response.ok) {
    const old = await keptTexts()
    await cache.put(request, response.clone())
    if (old) await cache.delete(old)
  }
  return response
}

async function keptTexts(): Promise<string | null> {
  const kept = await (await caches.open(SHELL)).keys()
  return kept.map(({ url }) => new URL(url).pathname).find((path) => path.startsWith(TEXTS)) ?? null
}

async function answer(request: Request): Promise<Response> {
  const kept = await find(new URL(request.url)).catch(() => null)
  const control = new AbortController()
  const timer = setTimeout(async () => kept && !(await machineAnswers()) && control.abort(), WAITED_MS)
  try {
    const response = await fetch(request, { signal: control.signal })
    if (!NOT_THERE.includes(response.status)) return response
  } catch {
    // Out of reach.
  } finally {
    clearTimeout(timer)
  }
  return fromDevice(request, kept)
}

async function machineAnswers(): Promise<boolean> {
  return fetch('/manifest.webmanifest', { cache: 'no-store', signal: AbortSignal.timeout(ASKED_MS) }).then(
    (response) => response.ok,
    () => false,
  )
}

/** The page as it was kept, else the same without what was asked of it ("why 46?"). */
async function find(url: URL): Promise<KeptPage | null> {
  const db = await device()
  return (await db.get('pages', url.pathname + url.search)) ?? (await db.get('pages', url.pathname)) ?? null
}

async function fromDevice(request: Request, kept: KeptPage | null): Promise<Response> {
  const cached = await caches.match('/offline', { cacheName: SHELL })
  const policy = cached?.headers.get('Content-Security-Policy') ?? ''
  const labels = await keptTexts()
  const shell = (await cached?.text())?.replace(LABELS, (own) => labels ?? own)
  const empty = shell === undefined ? null : pageIn(shell)
  // Kept by another version of the app, its scripts are gone.
  const fits = kept !== null && (empty === null || kept.page.version === empty.version) ? kept : null
  const url = new URL(request.url)
  const page = fits
    ? { ...fits.page, url: url.pathname + url.search, props: { ...fits.page.props, kept: fits.atMs } }
    : {
        ...empty,
        url: url.pathname + url.search,
        props: { errors: {}, here: null, done: null, kept: 0, pages: await list(empty?.version) },
      }
  if (request.headers.has('X-Inertia')) {
    return new Response(JSON.stringify(page), { headers: { 'Content-Type': 'application/json', 'X-Inertia': 'true', Vary: 'X-Inertia' } })
  }
  return shell === undefined
    ? Response.error()
    : new Response(
        shell.replace(DATA, (_, before: string) => before + JSON.stringify(page).replaceAll('<', '\\u003C')),
        { headers: { 'Content-Type': 'text/html; charset=utf-8', 'Content-Security-Policy': policy } },
      )
}

/** What can be opened instead. */
async function list(version: unknown): Promise<{ url: string; title: string }[]> {
  const all = await device().then(
    (db) => db.getAll('pages'),
    () => [],
  )
  return all
    .filter((one) => one.page.version === version && !one.url.includes('?'))
    .sort((a, b) => a.url.localeCompare(b.url, undefined, { numeric: true }))
    .map(({ url, title }) => ({ url, title }))
}

const LABELS = /\/texts\/[\w.]+/
const DATA = /(<script data-page="app" type="application\/json">)([^<]*)/

function pageIn(shell: string): KeptPage['page'] | null {
  const data = DATA.exec(shell)?.[2]
  return data === undefined ? null : (JSON.parse(data) as KeptPage['page'])
}
