import { ref } from 'vue'

/** What this device has to say of what was just pressed, beside what the server says. */
export interface Told {
  key: string
  text: string
  act?: { title: string; do: () => void }
}

export const told = ref<Told | null>(null)
let count = 0

export function tell(text: string, act?: Told['act']): void {
  told.value = { key: `told-${++count}`, text, act }
}
