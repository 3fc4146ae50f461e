import { ref, nextTick } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { http } from '@/composables/http'
import { newActionId } from '@/composables/useActionForm'
import { ask, usePreview } from '@/composables/usePreview'
import { serveWith, settle, within } from './support'

beforeEach(() => {
  vi.useFakeTimers()
  window.dripelTexts = { offline: { text: 'The shed cannot be reached.' } }
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('asking the server', () => {
  it('gives the first error of each field, and the message where there are none', async () => {
    serveWith(() => ({ status: 422, body: { errors: { km: ['Above nought.', 'A number.'], day: ['Not yet.'] } } }))
    expect(await http('post', '/x', {})).toMatchObject({ ok: false, status: 422, errors: { km: 'Above nought.', day: 'Not yet.' } })
    serveWith(() => ({ status: 500, body: { message: 'Something broke.' } }))
    expect(await http('get', '/x')).toMatchObject({ errors: { page: 'Something broke.' } })
    serveWith(() => ({ status: 503 }))
    expect(await http('get', '/x')).toMatchObject({ errors: { page: 'status 503' } })
  })

  it('is null where nobody answers, and an empty answer is one', async () => {
    serveWith(() => null)
    expect(await http('get', '/x')).toBeNull()
    serveWith(() => ({ status: 204 }))
    expect(await http('put', '/x', { a: 1 })).toMatchObject({ ok: true, body: {} })
  })

  it('shows its own page where it writes, and not where it asks', async () => {
    document.cookie = 'XSRF-TOKEN=a%3Db'
    const seen: Record<string, string>[] = []
    vi.stubGlobal('fetch', async (_: string, options: { headers: Record<string, string> }) => {
      seen.push(options.headers)
      return { ok: true, status: 200, statusText: '', text: async () => '{}' }
    })
    await http('get', '/x')
    await http('post', '/x', { a: 1 })
    await http('post', '/x', new FormData())
    expect(seen.map((headers) => [headers['X-XSRF-TOKEN'] ?? null, headers['Content-Type'] ?? null])).toEqual([
      [null, null],
      ['a=b', 'application/json'],
      ['a=b', null],
    ])
  })

  it('says that it cannot be reached as an error of the page', async () => {
    serveWith(() => null)
    expect(await ask('post', '/x', {})).toEqual({ errors: { page: 'The shed cannot be reached.' } })
  })

  it('makes ids that are no two alike and say their version', () => {
    const ids = new Set(Array.from({ length: 200 }, newActionId))
    expect(ids.size).toBe(200)
    ids.forEach((id) => expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/))
  })
})

describe('a preview', () => {
  it('asks once for what was typed in one go, and again when it changes', async () => {
    const asked = serveWith((request) => ({ body: { said: (request.body as { km: string }).km } }))
    const km = ref('1')
    const { made, scope } = within(() =>
      usePreview<{ said: string }>(
        'post',
        () => '/p',
        () => ({ km: km.value }),
      ),
    )
    km.value = '12'
    await nextTick()
    km.value = '120'
    await nextTick()
    await vi.advanceTimersByTimeAsync(260)
    await settle()
    expect(asked.map((one) => one.body)).toEqual([{ km: '120' }])
    expect(made.preview.value).toEqual({ said: '120' })
    scope.stop()
  })

  it('forgets what it showed where there is nothing to ask, and where it is refused says why', async () => {
    let refuse = false
    serveWith(() => (refuse ? { status: 422, body: { errors: { km: ['Above nought.'] } } } : { body: { said: 'yes' } }))
    const km = ref<string | null>('1')
    const { made, scope } = within(() =>
      usePreview<{ said: string }>(
        'post',
        () => '/p',
        () => (km.value === null ? null : { km: km.value }),
      ),
    )
    await vi.advanceTimersByTimeAsync(260)
    await settle()
    expect(made.preview.value).toEqual({ said: 'yes' })
    refuse = true
    km.value = '-1'
    await nextTick()
    await vi.advanceTimersByTimeAsync(260)
    await settle()
    expect([made.preview.value, made.problems.value]).toEqual([null, { km: 'Above nought.' }])
    km.value = null
    await nextTick()
    await vi.advanceTimersByTimeAsync(260)
    await settle()
    expect(made.preview.value).toBeNull()
    scope.stop()
  })

  it('keeps the answer to the last question where an earlier one comes late', async () => {
    const waiting: ((said: string) => void)[] = []
    vi.stubGlobal(
      'fetch',
      () =>
        new Promise((answer) =>
          waiting.push((said) => answer({ ok: true, status: 200, statusText: '', text: async () => JSON.stringify({ said }) })),
        ),
    )
    const km = ref('1')
    const { made, scope } = within(() =>
      usePreview<{ said: string }>(
        'post',
        () => '/p',
        () => ({ km: km.value }),
      ),
    )
    await vi.advanceTimersByTimeAsync(260)
    km.value = '2'
    await nextTick()
    await vi.advanceTimersByTimeAsync(260)
    waiting[1]?.('second')
    await settle()
    waiting[0]?.('first')
    await settle()
    expect(made.preview.value).toEqual({ said: 'second' })
    scope.stop()
  })
})
