import {
  mdiCheck,
  mdiCheckboxBlankOutline,
  mdiCheckboxMarked,
  mdiChevronDown,
  mdiChevronUp,
  mdiCloseCircle,
  mdiMenuDown,
  mdiMinusBox,
} from '@mdi/js'
import { createVuetify } from 'vuetify'
import { holdPage } from './holdPage'
import { themeOf } from './tokens'

/** What this page's own elements are known by (App\Http\Middleware\SecurityHeaders). */
const nonce = () => document.querySelector<HTMLElement>('script[nonce]')?.nonce

/** The signs that its components draw by themselves: those of the ones we use, where its own list has ninety. */
const aliases = {
  checkboxOff: mdiCheckboxBlankOutline,
  checkboxOn: mdiCheckboxMarked,
  checkboxIndeterminate: mdiMinusBox,
  clear: mdiCloseCircle,
  delete: mdiCloseCircle,
  dropdown: mdiMenuDown,
  expand: mdiChevronDown,
  collapse: mdiChevronUp,
  complete: mdiCheck,
}

/** One theme for every component: ink on cold grey-green, square corners, no shadows. */
export function makeVuetify(theme: 'day' | 'night') {
  return createVuetify({
    theme: { cspNonce: nonce(), defaultTheme: theme, themes: { day: themeOf('day'), night: themeOf('night') } },
    icons: { defaultSet: 'svg', aliases },
    defaults: {
      global: { ripple: false },
      VTextField: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto', color: 'primary' },
      VSelect: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto', color: 'primary' },
      VCheckbox: { density: 'compact', hideDetails: 'auto', color: 'primary' },
      VDialog: { maxWidth: 520, scrollable: true, scrollStrategy: holdPage },
      VCard: { rounded: 'sm', elevation: 0 },
      VMenu: { location: 'bottom end' },
    },
  })
}
