import { usePreferredDark, useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { useTheme } from 'vuetify'

type Light = 'day' | 'night'

const stored = useLocalStorage<Light | null>('dripel-light', null, {
  serializer: { read: (raw) => (raw === 'night' || raw === 'day' ? raw : null), write: String },
})
const prefersDark = usePreferredDark()

/** The light chosen on this device, else the one the system asks for. */
export function startTheme(): Light {
  return stored.value ?? (prefersDark.value ? 'night' : 'day')
}

export function useDayNight() {
  const theme = useTheme()
  const light = computed<Light>(() => (theme.global.name.value === 'night' ? 'night' : 'day'))
  function toggle(): void {
    stored.value = light.value === 'day' ? 'night' : 'day'
    theme.change(stored.value)
  }
  return { light, toggle }
}
