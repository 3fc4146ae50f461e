import { computed, nextTick, onMounted, ref, type ComputedRef, type Ref } from 'vue'
import { whenIdle } from './lazily'

/** A busy page draws on all the same. */
const SOON_MS = 200
/** Once all of a page was drawn pages are drawn at once ever after: what is scrolled to stays where it is. */
let drawn = false
/** Whether the browser goes to a place further down. */
const further = () =>
  location.hash !== '' || ((history.state as { documentScrollPosition?: { top: number } } | null)?.documentScrollPosition?.top ?? 0) > 0
const atOnce = () => drawn || further()

/** What is still to be drawn of this page, one after the other; the browser is free in between. */
const waiting: (() => void)[] = []
/** Where among them what is found next belongs: what is within a part goes before what stands below it. */
let place = 0
/** Whether there is something. */
export const drawing = ref(false)
function wait(draw: () => void): void {
  waiting.splice(place++, 0, draw)
  if (!drawing.value) next()
}
function next(): void {
  drawing.value = true
  whenIdle(() => {
    place = 0
    waiting.shift()?.()
    void nextTick(() => {
      if (waiting.length) return next()
      drawing.value = false
      drawn = true
    })
  }, SOON_MS)
}

/** Whether a part of a page is to be drawn yet: what stands over it is there sooner. */
export function useTurn(): Ref<boolean> {
  const come = ref(atOnce())
  onMounted(() => come.value || wait(() => (come.value = true)))
  return come
}

/** The first few of a list with the page, the others one by one after it: what is in sight is there sooner. */
export function useInTurn<T>(list: () => T[], first: number): ComputedRef<T[]> {
  const count = ref(atOnce() ? Infinity : first)
  const grow = (): void => {
    count.value++
    if (count.value < list().length) wait(grow)
    else count.value = Infinity
  }
  onMounted(() => count.value < list().length && wait(grow))
  return computed(() => list().slice(0, count.value))
}
