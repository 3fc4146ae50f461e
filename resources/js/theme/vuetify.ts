import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'
import { themeOf } from './tokens'

/** What this page's own elements are known by (App\Http\Middleware\SecurityHeaders). */
const nonce = () => document.querySelector<HTMLElement>('script[nonce]')?.nonce

/** One theme for every component: ink on cold grey-green, square corners, no shadows. */
export function makeVuetify(theme: 'day' | 'night') {
  return createVuetify({
    theme: { cspNonce: nonce(), defaultTheme: theme, themes: { day: themeOf('day'), night: themeOf('night') } },
    icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
    defaults: {
      global: { ripple: false },
      VBtn: { variant: 'outlined', rounded: 'sm', elevation: 0 },
      VTextField: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto', color: 'primary' },
      VTextarea: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto', color: 'primary' },
      VSelect: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto', color: 'primary' },
      VAutocomplete: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto', color: 'primary' },
      VCheckbox: { density: 'compact', hideDetails: 'auto', color: 'primary' },
      VSwitch: { density: 'comfortable', hideDetails: 'auto', color: 'primary', inset: true },
      VDialog: { maxWidth: 520, scrollable: true },
      VCard: { rounded: 'sm', elevation: 0 },
      VMenu: { location: 'bottom end' },
    },
  })
}
