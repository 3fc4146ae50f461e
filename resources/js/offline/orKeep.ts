import type { VisitOptions } from '@inertiajs/core'
import { t } from '@/composables/useText'
import { tell } from '@/composables/told'
import { keep, waiting } from './entries'
import { kindOf, lacks } from './kinds'
import { elseGone, offline } from './reach'

interface Write {
  method: string
  url: string
  data: () => Record<string, unknown>
  begin: (options: VisitOptions) => void
  options: VisitOptions
  /** It is kept on this device: the form has done its work. */
  kept: () => void
  /** A field without which it would say nothing. */
  missing?: (field: string, text: string) => void
}

/**
 * Begins a write. What can be kept is kept on this device where the machine is out of reach, or while something older waits here: the
 * order stays as it was made. Else it is said, where it was pressed, that nothing was saved.
 */
export function orKeep(write: Write): void {
  const kind = kindOf(write.method, write.url)
  const keepIt = async () => {
    const field = kind && lacks(kind, write.data())
    if (field) {
      write.missing?.(field, t('kept.fill_in'))
      return
    }
    try {
      await keep(write.method, write.url, write.data())
      tell(t('kept.here'))
      write.kept()
    } catch {
      tell(t('kept.not_saved'))
    }
  }
  if (kind && (offline.value || waiting.value.length)) void keepIt()
  else {
    const gone = () => void (kind ? keepIt() : tell(t('kept.not_saved')))
    write.begin(elseGone(write.options, gone, () => tell(t('kept.slow')), kind !== null))
  }
}
