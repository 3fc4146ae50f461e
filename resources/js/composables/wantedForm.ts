import { router } from '@inertiajs/vue3'
import { ref } from 'vue'

export type QuickVerb = 'ride' | 'swap' | 'topup' | 'measure' | 'loud'

/** A form of the Shed that was asked for on another page, and the bike it is for; null for the first. */
export const wantedForm = ref<{ verb: QuickVerb; bike: number | null } | null>(null)

export function openForm(verb: QuickVerb, bike: number | null): void {
  wantedForm.value = { verb, bike }
  if (location.pathname !== '/') router.visit('/')
}
