import type { TextKey } from '@/types/texts'

/** Labels of the screens, a script of its own in the workshop's language and units. Sentences come from the server. */
interface Texts {
  [key: string]: string | Texts
}

declare global {
  interface Window {
    dripelTexts?: Texts
  }
}

export function t(key: TextKey, parameters: Record<string, string | number> = {}): string {
  const found = key
    .split('.')
    .reduce<string | Texts | undefined>((at, part) => (typeof at === 'object' ? at[part] : undefined), window.dripelTexts)
  if (typeof found !== 'string') return key
  return Object.entries(parameters).reduce((text, [name, value]) => text.replaceAll(`:${name}`, String(value)), found)
}

/** Choices of a form, each with its label. */
export function choicesOf<Value extends string>(
  values: readonly Value[],
  key: (value: Value) => TextKey,
): { value: Value; title: string }[] {
  return values.map((value) => ({ value, title: t(key(value)) }))
}
