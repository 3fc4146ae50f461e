import type { AriaAttributes, InputHTMLAttributes } from 'vue'

// Attributes that the components of the library hand on to their root, which their own types do not name.
declare module 'vue' {
  interface ComponentCustomProps extends /* @vue-ignore */ AriaAttributes {
    onClick?: (event: MouseEvent) => void
    onBlur?: (event: FocusEvent) => void
    disabled?: boolean
    name?: string
    size?: string | number
    onChange?: (event: Event) => void
    type?: string
    inputmode?: InputHTMLAttributes['inputmode']
    autofocus?: boolean
    autocapitalize?: string
    spellcheck?: boolean | 'true' | 'false'
  }
}
