import { afterEach, describe, expect, it, vi } from 'vitest'
import { useOffline } from '@/composables/useOffline'
import { settle, within } from './support'

type Listener = (event: { preventDefault: () => void }) => void
const heard = vi.hoisted(() => new Map<string, Listener>())
vi.mock('@inertiajs/vue3', () => ({
  router: {
    on: (name: string, listener: Listener) => {
      heard.set(name, listener)
      return () => heard.delete(name)
    },
  },
}))

const network = (there: boolean) => {
  vi.spyOn(navigator, 'onLine', 'get').mockReturnValue(there)
  window.dispatchEvent(new Event(there ? 'online' : 'offline'))
}

describe('whether the shed can be reached', () => {
  afterEach(() => vi.restoreAllMocks())

  it('says no when the network goes, and yes when it comes', async () => {
    const { made, scope } = within(() => useOffline())
    expect(made.value).toBe(false)
    network(false)
    await settle()
    expect(made.value).toBe(true)
    network(true)
    await settle()
    expect(made.value).toBe(false)
    scope.stop()
  })

  it('says no after a request without an answer, shows no error for it, and yes after the next that has one', async () => {
    const { made, scope } = within(() => useOffline())
    const preventDefault = vi.fn()
    heard.get('exception')?.({ preventDefault })
    expect([made.value, preventDefault.mock.calls.length]).toEqual([true, 1])
    heard.get('success')?.({ preventDefault })
    expect(made.value).toBe(false)
    scope.stop()
  })

  it('hopes again when somebody comes back to the window, but not without a network', async () => {
    const { made, scope } = within(() => useOffline())
    heard.get('exception')?.({ preventDefault: () => undefined })
    window.dispatchEvent(new Event('focus'))
    expect(made.value).toBe(false)
    network(false)
    await settle()
    window.dispatchEvent(new Event('focus'))
    expect(made.value).toBe(true)
    network(true)
    scope.stop()
  })
})
