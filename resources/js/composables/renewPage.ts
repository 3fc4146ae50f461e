import { router } from '@inertiajs/vue3'

/**
 * Fetches the page anew, beside what the person does: what the server has to say to them (what was refused, what was done) stays for the
 * page that they wait for.
 */
export const renewPage = (): void => router.reload({ headers: { 'X-Dripel-Beside': '1' } })
