import { nextTick, ref, shallowReactive } from 'vue'
import { expect, it, vi } from 'vitest'
import { useOpened } from '@/composables/useOpened'
import { offline } from '@/offline/reach'
import { within } from './support'

const inertia = vi.hoisted(() => ({ page: null as unknown as { props: object }, asked: [] as unknown[] }))
vi.mock('@inertiajs/vue3', () => ({
  usePage: () => inertia.page,
  router: { reload: (wish: unknown) => inertia.asked.push(wish), on: () => undefined },
}))

it('asks for a part when it is opened and after each answer without it, and keeps what was there', async () => {
  const props = shallowReactive<{ name: string; people?: string[]; keep?: string }>({ name: 'Shed' })
  inertia.page = shallowReactive({ props: {} })
  const answer = async (people?: string[]) => {
    props.people = people
    inertia.page.props = {}
    await nextTick()
  }
  const part = ref<'people' | 'keep' | null>(null)
  const { made: result } = within(() => useOpened(props, ['people', 'keep'], () => part.value))
  await nextTick()
  expect([inertia.asked.length, result.value.people]).toEqual([0, undefined])
  part.value = 'people'
  await nextTick()
  expect(inertia.asked).toEqual([{ only: ['people'], preserveErrors: true }])
  await answer(['Jo'])
  // Something was saved: the page comes anew, without the part.
  await answer()
  expect([inertia.asked.length, result.value.people]).toEqual([2, ['Jo']])
  await answer()
  expect(inertia.asked.length).toBe(3)
  await answer(['Jo', 'Mo'])
  // Nobody is asked who cannot be reached, but once they can.
  offline.value = true
  part.value = 'keep'
  await nextTick()
  expect(inertia.asked.length).toBe(3)
  offline.value = false
  await nextTick()
  expect(inertia.asked.slice(3)).toEqual([{ only: ['keep'], preserveErrors: true }])
  // What is there is not asked for again.
  part.value = 'people'
  await nextTick()
  expect([inertia.asked.length, result.value.people]).toEqual([4, ['Jo', 'Mo']])
})
