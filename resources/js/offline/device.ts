import type { Page } from '@inertiajs/core'
import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { KeptKind } from './kinds'

/** A page as it was last got, for when the machine is out of reach. */
export interface KeptPage {
  url: string
  title: string
  page: Page
  /** When it was got, by this device. */
  atMs: number
}

/** An entry made without the machine, until it has taken it. */
export interface KeptEntry {
  /** The place in the queue, given by the store. */
  place?: number
  /** The id of its action: sent twice, it is done once. */
  id: string
  kind: KeptKind
  method: 'post'
  url: string
  data: Record<string, unknown>
  /** Whose it is: the address that says whether that person still belongs to that workshop. */
  who: string
  /** Their order is kept; none: it could be any. */
  bikes: number[]
  chains: number[]
  /** What a person reads of it. */
  subject: string
  facts: string
  madeMs: number
  /** Why the machine did not take it, by field. */
  refused: { status: number; errors: Record<string, string> } | null
}

interface Device extends DBSchema {
  pages: { key: string; value: KeptPage }
  entries: { key: number; value: KeptEntry }
}

let opened: Promise<IDBPDatabase<Device>> | null = null

/** What this device keeps; the page and the service worker share it. Rejects where a browser keeps nothing. */
export function device(): Promise<IDBPDatabase<Device>> {
  opened ??= openDB<Device>('dripel', 1, {
    upgrade(db) {
      db.createObjectStore('pages', { keyPath: 'url' })
      db.createObjectStore('entries', { keyPath: 'place', autoIncrement: true })
    },
    terminated: () => (opened = null),
  })
  return opened
}
