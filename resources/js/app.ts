import 'vuetify/styles/core'
import '@fontsource-variable/archivo/standard.css'
import './theme/theme.css'
import type { Page } from '@inertiajs/core'
import { createInertiaApp, router } from '@inertiajs/vue3'
import { createApp, h, markRaw, type DefineComponent } from 'vue'
import { http } from './composables/http'
import { whenIdle } from './composables/lazily'
import { nowHere, pageCame } from './composables/nowHere'
import { watchUnderWay } from './composables/underWay'
import { startTheme } from './composables/useDayNight'
import { keepSoon } from './offline/pages'
import { watchReach } from './offline/reach'
import { putColours } from './theme/tokens'
import { makeVuetify } from './theme/vuetify'

// Pages without the machine; a browser that refuses it goes on without.
if ('serviceWorker' in navigator) {
  navigator.serviceWorker.register('/sw.js').catch(() => undefined)
  // The labels of this page too, which came before it could keep them.
  const labels = document.querySelector<HTMLScriptElement>('script[src^="/texts/"]')?.src
  if (labels) void navigator.serviceWorker.ready.then(() => http('get', labels))
}

watchReach()
watchUnderWay()
/** A page has come: from the machine, or as this device kept it. */
function came(page: Page): void {
  pageCame(page.props.kept || Date.now())
  // The first form that is opened does not wait for the calendar of the workshop's zone.
  whenIdle(nowHere)
  keepSoon(page)
}
router.on('success', (event) => came(event.detail.page))

/** What a page was sent is not changed where it stands, the next answer takes its place: nothing has to watch what is inside. */
function settle(page: Page): void {
  for (const sent of Object.values(page.props)) if (sent !== null && typeof sent === 'object') markRaw(sent)
}

/** The browser may do something else between reading a page and drawing it. */
const breath = () => new Promise((soon) => setTimeout(soon))

putColours()
void createInertiaApp({
  title: (title) => (title ? `${title} · Dripel` : 'Dripel'),
  progress: false,
  resolve: async (name, page) => {
    if (page) settle(page)
    const pages = import.meta.glob<DefineComponent>('./Pages/**/*.vue', { import: 'default' })
    const load = pages[`./Pages/${name}.vue`]
    if (!load) throw new Error(`There is no page ${name}`)
    const component = await load()
    await breath()
    return component
  },
  async setup({ el, App, props, plugin }) {
    came(props.initialPage)
    const app = createApp({ render: () => h(App, props) })
      .use(plugin)
      .use(makeVuetify(startTheme()))
    await breath()
    app.mount(el)
  },
})
