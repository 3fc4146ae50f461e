import { useMediaQuery } from '@vueuse/core'
import type { Ref } from 'vue'

/** Whether the page is drawn for a phone, or for text so large that it is as narrow; the same bound as in the style sheets. */
export const PHONE = '(max-width: 52.49em)'
export const usePhone = (): Ref<boolean> => useMediaQuery(PHONE)
