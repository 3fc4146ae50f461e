<script setup lang="ts">
import { Head, Link, router, usePage } from '@inertiajs/vue3'
import {
  mdiCogOutline,
  mdiDotsVertical,
  mdiHelpCircleOutline,
  mdiHistory,
  mdiNotebookOutline,
  mdiRuler,
  mdiWeatherNight,
  mdiWhiteBalanceSunny,
} from '@mdi/js'
import { useIntervalFn } from '@vueuse/core'
import { computed, onMounted, ref } from 'vue'
import DoneBar from './DoneBar.vue'
import KeptBar from './KeptBar.vue'
import type { MenuItem } from './menuItem'
import MoreMenu from './MoreMenu.vue'
import PageProgress from './PageProgress.vue'
import PushButton from '@/components/layout/PushButton.vue'
import TermsNote from './TermsNote.vue'
import ThumbBar from './ThumbBar.vue'
import WhoseSwitch from './WhoseSwitch.vue'
import { unconfirmed } from '@/composables/useConfirmed'
import { drawing } from '@/composables/useInTurn'
import { useDayNight } from '@/composables/useDayNight'
import { useHere } from '@/composables/useHere'
import { useKeys } from '@/composables/useKeys'
import { usePhone } from '@/composables/usePhone'
import { useReminders } from '@/composables/useReminders'
import { useRevision } from '@/composables/useRevision'
import { t } from '@/composables/useText'
import { readEntries, send, waiting } from '@/offline/entries'
import { fetchAhead } from '@/offline/pages'
import { offline } from '@/offline/reach'
import { tapsWaiting } from '@/offline/taps'
import { wipe } from '@/offline/wipe'
import { lazily } from '@/composables/lazily'

const AddSheet = lazily(() => import('./AddSheet.vue'))
const CommandLine = lazily(() => import('./CommandLine.vue'))
const ConfirmDialog = lazily(() => import('./ConfirmDialog.vue'))
const KeysDialog = lazily(() => import('./KeysDialog.vue'))

const props = defineProps<{
  title: string
  at: string
  /** Whether it shows one's own bikes alone where that is wished. */
  whose?: boolean
}>()

const here = useHere()
const { light, toggle } = useDayNight()
const moved = useRevision()
useReminders()
const keysOpen = ref(false)
const lineOpen = ref(false)
const addOpen = ref(false)
const phone = usePhone()
const content = ref<HTMLElement | null>(null)
const doneBar = ref<InstanceType<typeof DoneBar> | null>(null)
const places = computed(() => [
  { name: 'shed', href: '/', title: t('nav.shed') },
  { name: 'pot', href: '/pot', title: t('nav.pot') },
  { name: 'gauge', href: '/gauge', title: t('nav.gauge') },
  { name: 'rides', href: '/rides', title: t('nav.rides') },
  { name: 'ahead', href: '/ahead', title: t('nav.ahead') },
  { name: 'books', href: '/books', title: t('nav.books') },
])
const goTo = (name: 'gauge' | 'books' | 'history' | 'settings' | 'help', icon: string): MenuItem => ({
  title: t(`nav.${name}`),
  icon,
  active: name === props.at,
  test: `menu-${name}`,
  act: () => router.visit(`/${name}`),
})
const menu = computed<MenuItem[]>(() => [
  {
    title: light.value === 'day' ? t('theme.night') : t('theme.day'),
    icon: light.value === 'day' ? mdiWeatherNight : mdiWhiteBalanceSunny,
    test: 'light',
    act: toggle,
  },
  // Two places that the bar under the thumb has no room for.
  ...(phone.value ? [goTo('gauge', mdiRuler), goTo('books', mdiNotebookOutline)] : []),
  // Pages that are looked up, not worked on.
  goTo('history', mdiHistory),
  goTo('settings', mdiCogOutline),
  goTo('help', mdiHelpCircleOutline),
  { title: t('keys.title'), key: '?', test: 'keys', act: () => (keysOpen.value = true) },
  { title: `${t('verbs.sign_out')}: ${here.value.person}`, test: 'sign-out', act: signOut },
])
useKeys({
  '?': () => (keysOpen.value = true),
  '/': () => here.value.mayWrite && (lineOpen.value = true),
  S: () => router.visit('/'),
  P: () => router.visit('/pot'),
  G: () => router.visit('/gauge'),
  R: () => router.visit('/rides'),
  A: () => router.visit('/ahead'),
  B: () => router.visit('/books'),
  H: () => router.visit('/history'),
  u: () => doneBar.value?.undo(),
})
// What this person has on the device goes with them; what was not sent yet is asked about first.
function signOut(): void {
  const unsent = waiting.value.length + tapsWaiting.value
  if (unsent && !confirm(t('kept.sign_out', { count: unsent }))) return
  const who = here.value.stay
  router.post('/sign-out', {}, { onSuccess: () => void wipe(who) })
}

const SEND_EVERY_MS = 5000
const shown = usePage()
async function exchange(): Promise<void> {
  await send()
  // A phone is what is taken to where there is no network.
  if (phone.value && !offline.value) await fetchAhead(shown as never).catch(() => undefined)
}
onMounted(() => readEntries().then(exchange))
useIntervalFn(() => void exchange(), SEND_EVERY_MS)
</script>

<template>
  <Head :title="props.title" />
  <v-app>
    <a href="#content" class="skip">{{ t('nav.skip') }}</a>
    <header class="top">
      <PageProgress />
      <Link href="/" class="mark" :aria-label="`Dripel, ${t('nav.shed')}`">
        <svg width="18" height="26" viewBox="0 0 18 26" aria-hidden="true">
          <path d="M9 1c4 8 8 11 8 16a8 8 0 0 1-16 0C1 12 5 9 9 1Z" fill="var(--amber)" />
          <path d="M1 17a8 8 0 0 0 16 0Z" fill="var(--ink)" />
        </svg>
        <span class="word">Dripel</span>
      </Link>
      <nav v-if="!phone" :aria-label="t('nav.main')">
        <Link
          v-for="place in places"
          :key="place.name"
          :href="place.href"
          :class="{ on: place.name === at }"
          :aria-current="place.name === at ? 'page' : undefined"
          :data-test="`nav-${place.name}`"
          >{{ place.title }}</Link
        >
      </nav>
      <span class="grow" />
      <span class="where">{{ here.workshop }}</span>
      <WhoseSwitch v-if="props.whose" />
      <button v-if="here.mayWrite" type="button" class="line" data-test="command" :aria-label="t('command.title')" @click="lineOpen = true">
        <kbd>/</kbd><span class="desk">{{ t('command.title') }}</span>
      </button>
      <MoreMenu v-slot="{ button }" :items="menu">
        <PushButton v-bind="button" :icon="mdiDotsVertical" bare :aria-label="t('nav.more')" data-test="more" />
      </MoreMenu>
    </header>
    <KeptBar />
    <div v-if="moved && !offline" class="moved" role="status">
      {{ t('changed_elsewhere') }}
      <PushButton @click="router.reload()">{{ t('verbs.show') }}</PushButton>
    </div>
    <main id="content" tabindex="-1" :aria-busy="drawing || undefined">
      <div ref="content"><slot /></div>
      <TermsNote :of="content" />
    </main>
    <ThumbBar v-if="phone" :at="at" :may-write="here.mayWrite" @add="addOpen = true" />
    <AddSheet v-if="addOpen" v-model="addOpen" />
    <DoneBar ref="doneBar" />
    <ConfirmDialog v-if="unconfirmed" />
    <KeysDialog v-if="keysOpen" v-model="keysOpen" />
    <CommandLine v-if="lineOpen" v-model="lineOpen" />
  </v-app>
</template>

<style scoped>
.top {
  display: flex;
  align-items: center;
  min-height: 56px;
  padding: 0 20px 0 24px;
  border-bottom: 1.5px solid var(--ink);
  background: var(--paper);
  position: sticky;
  top: 0;
  z-index: 5;
}
.mark {
  display: flex;
  gap: 8px;
  align-items: center;
  margin-right: 30px;
  text-decoration: none;
}
.word {
  font-stretch: 125%;
  font-weight: 800;
  font-size: var(--type-5);
  letter-spacing: -0.3px;
}
nav {
  display: flex;
  gap: 4px;
  align-self: stretch;
}
nav a {
  padding: 0 14px;
  display: flex;
  align-items: center;
  font-weight: 560;
  color: var(--steel);
  text-decoration: none;
}
nav a.on {
  color: var(--ink);
  box-shadow: inset 0 -4px 0 var(--ink);
  font-weight: 680;
}
.grow {
  flex: 1;
}
.where {
  color: var(--steel);
  font-size: var(--type-2);
  margin-right: 8px;
}
.line {
  font: inherit;
  font-size: var(--type-2);
  color: var(--steel);
  background: none;
  border: 0;
  min-height: 44px;
  padding: 0 10px;
  display: flex;
  align-items: center;
  gap: 7px;
  cursor: pointer;
}
.line:hover span {
  text-decoration: underline;
}
.moved {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 6px 24px;
  background: var(--paper);
  border-bottom: 1px solid var(--line);
}
main {
  flex: 1;
  outline: none;
  padding-bottom: 64px;
}
.skip {
  position: absolute;
  left: -9999px;
}
.skip:focus {
  left: 8px;
  top: 8px;
  z-index: 10;
  background: var(--paper);
  padding: 8px 12px;
}
@media (max-width: 52.49em) {
  .top {
    position: static;
    padding: 0 4px 0 0;
  }
  .mark {
    margin-right: 0;
    min-width: 44px;
    min-height: 44px;
    justify-content: center;
  }
  .word {
    display: none;
  }
  .where {
    min-width: 0;
    overflow-wrap: anywhere;
  }
  .line {
    min-width: 44px;
    justify-content: center;
  }
  main {
    padding-bottom: calc(var(--thumb) + 16px);
  }
}
</style>
