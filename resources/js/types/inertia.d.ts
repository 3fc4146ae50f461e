import type { DoneView, HereView } from './server'

declare module '@inertiajs/core' {
  interface PageProps {
    here: HereView | null
    done: DoneView | null
    invitation: string | null
  }
}
