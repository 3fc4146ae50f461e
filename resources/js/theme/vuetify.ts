import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'

/** One theme for every component: ink on cold grey-green, square corners, no shadows. Colours that only we use are in theme.css. */
const day = {
  dark: false,
  colors: {
    background: '#dfe6e4',
    surface: '#f5f7f5',
    'on-background': '#22282b',
    'on-surface': '#22282b',
    primary: '#22282b',
    'on-primary': '#f5f7f5',
    secondary: '#275d63',
    'on-secondary': '#ffffff',
    error: '#a8401a',
    'on-error': '#ffffff',
  },
}
const night = {
  dark: true,
  colors: {
    background: '#1b2224',
    surface: '#232b2e',
    'on-background': '#e6edeb',
    'on-surface': '#e6edeb',
    primary: '#e6edeb',
    'on-primary': '#1b2224',
    secondary: '#8fc7c9',
    'on-secondary': '#10282b',
    error: '#f2936b',
    'on-error': '#2b1005',
  },
}

export function makeVuetify(theme: 'day' | 'night') {
  return createVuetify({
    theme: { defaultTheme: theme, themes: { day, night } },
    icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
    defaults: {
      global: { ripple: false },
      VBtn: { variant: 'outlined', rounded: 'sm', elevation: 0, class: 'text-none' },
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
