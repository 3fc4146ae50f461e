import 'vuetify/styles'
import '@fontsource-variable/archivo/standard.css'
import './theme/theme.css'
import { createInertiaApp } from '@inertiajs/vue3'
import { createApp, h, type DefineComponent } from 'vue'
import { startTheme } from './composables/useDayNight'
import { colours, putColours } from './theme/tokens'
import { makeVuetify } from './theme/vuetify'

// The offline page; a browser that refuses it goes on without.
if ('serviceWorker' in navigator) navigator.serviceWorker.register('/sw.js').catch(() => undefined)

putColours()
void createInertiaApp({
  title: (title) => (title ? `${title} · Dripel` : 'Dripel'),
  progress: { color: colours.day.amber, showSpinner: false },
  resolve: async (name) => {
    const pages = import.meta.glob<DefineComponent>('./Pages/**/*.vue', { import: 'default' })
    const load = pages[`./Pages/${name}.vue`]
    if (!load) throw new Error(`There is no page ${name}`)
    return load()
  },
  setup({ el, App, props, plugin }) {
    createApp({ render: () => h(App, props) })
      .use(plugin)
      .use(makeVuetify(startTheme()))
      .mount(el)
  },
})
