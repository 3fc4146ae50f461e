import type { Page } from '@inertiajs/core'
import { usePage } from '@inertiajs/vue3'

/** Whether an answer is the page that one is on: then one stays where one was on it. */
export const samePage = (page: Page): boolean => page.component === usePage().component
