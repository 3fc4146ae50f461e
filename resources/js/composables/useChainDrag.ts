import { useEventListener } from '@vueuse/core'
import { reactive, readonly } from 'vue'

const START_PX = 6

interface Drag {
  chain: number | null
  label: string
  x: number
  y: number
  over: string | null
}

const drag = reactive<Drag>({ chain: null, label: '', x: 0, y: 0, over: null })

/** The chain under way and the place it is over, for whoever draws them. */
export const chainDrag = readonly(drag)

function placeAt(x: number, y: number): string | null {
  return document.elementFromPoint(x, y)?.closest<HTMLElement>('[data-drop]')?.dataset.drop ?? null
}

/** A mouse or pen takes a chain from its hook to a place marked data-drop. Fingers use the buttons: they have to scroll. */
export function useChainDrag(drop: (chain: number, place: string) => void) {
  let from: { x: number; y: number; chain: number; label: string } | null = null

  function grab(event: PointerEvent, chain: number, label: string): void {
    if (event.pointerType === 'touch' || event.button !== 0) return
    event.preventDefault()
    from = { x: event.clientX, y: event.clientY, chain, label }
  }

  function end(): void {
    from = null
    Object.assign(drag, { chain: null, label: '', over: null })
  }

  useEventListener(window, 'pointermove', (event: PointerEvent) => {
    if (!from) return
    if (drag.chain === null && Math.hypot(event.clientX - from.x, event.clientY - from.y) < START_PX) return
    Object.assign(drag, {
      chain: from.chain,
      label: from.label,
      x: event.clientX,
      y: event.clientY,
      over: placeAt(event.clientX, event.clientY),
    })
  })
  useEventListener(window, 'pointerup', () => {
    const { chain, over } = drag
    end()
    if (chain !== null && over !== null) drop(chain, over)
  })
  useEventListener(window, 'pointercancel', end)
  useEventListener(window, 'keydown', (event: KeyboardEvent) => event.key === 'Escape' && end())

  return { grab }
}
