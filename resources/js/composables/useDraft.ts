import { useDebounceFn } from '@vueuse/core'
import { getCurrentInstance, onUnmounted, watch } from 'vue'
import { tell } from './told'
import { t } from './useText'

const AFTER_MS = 200
/** Set by a form each time it opens, and never a secret. */
const MOVING = ['action_id', 'date', 'time']
const SECRET = /password|token|code|file/

interface Fields {
  data: () => object
  put: (data: object) => void
}

/**
 * Keeps what was typed into a form through a reload and a crash, in this tab (two tabs may edit one thing), until it is sent or left. It comes back into the same
 * form on the same page that begins with the same values, and only there: what was meant for an older state does not overwrite a newer one.
 */
export function useDraft(form: Fields, initial: object): { drop: () => void } {
  const still = (values: object) => Object.entries(values).filter(([name]) => !MOVING.includes(name))
  const none = { drop: () => undefined }
  const instance = getCurrentInstance()
  if (!instance || Object.keys(initial).some((name) => SECRET.test(name))) return none
  // Whose form it is: the chain, the bike, the pot that it was opened for.
  const about = still(instance.props).map(([, value]) =>
    typeof value === 'object' ? ((value as { id?: number } | null)?.id ?? null) : value,
  )
  const key = `dripel.draft.${location.pathname} ${instance.type.__name} ${JSON.stringify([about, still(initial)])}`
  const untouched = JSON.stringify(form.data())
  const drop = () => sessionStorage.removeItem(key)

  const kept = sessionStorage.getItem(key)
  if (kept) {
    form.put(JSON.parse(kept) as object)
    tell(t('kept.draft'), {
      title: t('kept.afresh'),
      do: () => {
        form.put(JSON.parse(untouched) as object)
        drop()
      },
    })
  }
  let gone = false
  const save = useDebounceFn(() => {
    const now = JSON.stringify(form.data())
    if (gone || now === untouched) drop()
    else sessionStorage.setItem(key, now)
  }, AFTER_MS)
  watch(() => form.data(), save, { deep: true })
  // Closed or left on purpose; a reload and a crash do not come by here.
  onUnmounted(() => {
    gone = true
    drop()
  })
  return { drop }
}
