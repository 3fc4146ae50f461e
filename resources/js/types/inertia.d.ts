import type { Done, Here } from './props'

declare module '@inertiajs/core' {
  interface PageProps {
    here: Here | null
    done: Done | null
    invitation: string | null
  }
}
