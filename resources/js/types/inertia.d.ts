import type { DoneView, HereView } from './server'

declare module '@inertiajs/core' {
  interface PageProps {
    here: HereView | null
    done: DoneView | null
    invitation: string | null
    calendarAddress: string | null
    /** When this device kept the page that it shows; nothing: it came from the machine. */
    kept?: number
  }
}
