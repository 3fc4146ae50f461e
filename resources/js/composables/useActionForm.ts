import type { FormDataConvertible } from '@inertiajs/core'
import { useForm, type InertiaForm } from '@inertiajs/vue3'
import { samePage } from './samePage'
import { useDraft } from './useDraft'
import { discard, mending } from '@/offline/entries'
import type { KeptKind } from '@/offline/kinds'
import { orKeep } from '@/offline/orKeep'

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

/**
 * A form with the id of its action: sent twice it is done once; the id changes only after it was done. Its fields outlast a reload, and
 * what can be kept without the machine is kept. `kind` names the form in which a refused entry of that kind is put right.
 */
export function useActionForm<T extends Fields>(initial: T, kind?: KeptKind) {
  const form = useForm<{ action_id: string }>({ ...initial, action_id: newActionId() }) as unknown as ActionForm<T>
  let change = (data: object): object => data
  const transform = form.transform.bind(form)
  form.transform = (callback) => {
    change = callback as typeof change
    return transform(callback)
  }
  const again = kind && mending.value?.kind === kind ? mending.value : null
  const draft = useDraft({ data: () => form.data(), put: (data) => void Object.assign(form, data) }, initial)
  if (again) {
    // An id that was used for something else is of no more use.
    Object.assign(form, again.data, again.refused?.status === 409 ? { action_id: newActionId() } : {})
    form.setError((again.refused?.errors ?? {}) as never)
  }

  function submit(method: 'post' | 'put' | 'delete', url: string, done?: () => void): void {
    if (form.processing) return
    const finished = () => {
      Object.assign(form, { action_id: newActionId() })
      draft.drop()
      done?.()
    }
    orKeep({
      method,
      url,
      data: () => change(form.data()) as Record<string, unknown>,
      begin: (options) => form.submit(method, url, options),
      options: {
        // What it leads to is read from its top.
        preserveScroll: samePage,
        onSuccess: () => {
          if (again) void discard(again)
          finished()
        },
      },
      kept: finished,
      missing: (field, text) => form.setError(field as never, text as never),
    })
  }
  return { form, submit }
}
