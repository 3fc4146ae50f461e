/** Labels of the screens, shipped with the first page in the workshop's language. Sentences come from the server. */
interface Texts {
  [key: string]: string | Texts
}

let texts: Texts | null = null

function load(): Texts {
  const element = document.getElementById('texts')
  return JSON.parse(element?.textContent ?? '{}') as Texts
}

export function t(key: string, parameters: Record<string, string | number> = {}): string {
  texts ??= load()
  const found = key.split('.').reduce<string | Texts | undefined>((at, part) => (typeof at === 'object' ? at[part] : undefined), texts)
  if (typeof found !== 'string') return key
  return Object.entries(parameters).reduce((text, [name, value]) => text.replaceAll(`:${name}`, String(value)), found)
}
