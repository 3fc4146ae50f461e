import { useLocalStorage } from '@vueuse/core'
import { onUnmounted, ref } from 'vue'

const STROKES = 3
const BETWEEN_MS = 1500

/** The bell at the end of a timer. Browsers let a page sound only after somebody touched it; `locked` says so. */
export function useBell() {
  const on = useLocalStorage('dripel-bell', true)
  const locked = ref(false)
  const sound = new Audio('/sounds/bell.wav')
  let timer: number | undefined

  function stop(): void {
    window.clearTimeout(timer)
    sound.pause()
  }
  async function stroke(left: number): Promise<void> {
    if (!on.value || left < 1) return
    try {
      sound.currentTime = 0
      await sound.play()
      locked.value = false
    } catch {
      locked.value = true
    }
    timer = window.setTimeout(() => void stroke(left - 1), BETWEEN_MS)
  }
  function ring(): void {
    stop()
    if (on.value && 'vibrate' in navigator) navigator.vibrate([300, 150, 300])
    void stroke(STROKES)
  }
  onUnmounted(stop)

  return { on, locked, ring, stop }
}
