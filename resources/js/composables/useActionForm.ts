import type { FormDataConvertible } from '@inertiajs/core'
import { useForm, type InertiaForm } from '@inertiajs/vue3'

/** A random id that also works where the page has no secure context. */
export function newActionId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16))
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('')
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-')
}

type Fields = Record<string, FormDataConvertible>

export type ActionForm<T extends Fields> = InertiaForm<T & { action_id: string }>

/** A form with the id of its action: sent twice it is done once; the id changes only after it was done. */
export function useActionForm<T extends Fields>(initial: T) {
  const form = useForm<{ action_id: string }>({ ...initial, action_id: newActionId() }) as unknown as ActionForm<T>
  function submit(method: 'post' | 'put' | 'delete', url: string, done?: () => void): void {
    if (form.processing) return
    form.submit(method, url, {
      preserveScroll: true,
      onSuccess: () => {
        Object.assign(form, { action_id: newActionId() })
        done?.()
      },
    })
  }
  return { form, submit }
}
