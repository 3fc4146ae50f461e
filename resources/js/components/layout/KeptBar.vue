<script setup lang="ts">
import { router, usePage } from '@inertiajs/vue3'
import { mdiCloudOffOutline } from '@mdi/js'
import { computed } from 'vue'
import PushButton from '@/components/layout/PushButton.vue'
import { dayText, timeText } from '@/composables/dates'
import { clockOf, dayOf } from '@/composables/nowHere'
import { useHere } from '@/composables/useHere'
import { renewPage } from '@/composables/renewPage'
import { t } from '@/composables/useText'
import { discard, entries, mending, refused, send, signInFirst, tryAgain, waiting } from '@/offline/entries'
import type { KeptEntry } from '@/offline/device'
import { offline } from '@/offline/reach'
import { tapsWaiting } from '@/offline/taps'

/** Whether the machine is out of reach, how old the page is, and what this device keeps until it is sent. */
const page = usePage()
const here = useHere()
const said = computed(() => {
  const calendar = here.value.calendar
  const kept = page.props.kept
  const at = (ms: number) => timeText(clockOf(ms), calendar.twelveHours)
  const old = kept
    ? t(dayOf(kept) === dayOf(Date.now()) ? 'kept.as_of' : 'kept.as_of_day', {
        time: at(kept),
        day: dayText(dayOf(kept), calendar),
      })
    : ''
  return [offline.value ? t('kept.no_network') : '', old].filter(Boolean).join(' ')
})
const unsent = computed(() => waiting.value.length + tapsWaiting.value)
const count = computed(() =>
  unsent.value === 0 ? '' : unsent.value === 1 ? t('kept.waiting_one') : t('kept.waiting', { count: unsent.value }),
)
const FORMS = ['ride', 'swap', 'reading', 'loud', 'topup', 'dip']
function mend(entry: KeptEntry): void {
  mending.value = entry
  // The forms are on the Shed; there it opens at once.
  if (location.pathname !== '/') router.visit('/')
}
async function retry(): Promise<void> {
  await send()
  renewPage()
}
const when = (entry: KeptEntry) => timeText(clockOf(entry.madeMs), here.value.calendar.twelveHours)
</script>

<template>
  <section v-if="said || entries.length" class="kept" :aria-label="t('kept.title')" data-test="kept">
    <div v-if="said || count" class="state" role="status">
      <svg width="20" height="20" viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiCloudOffOutline" fill="currentColor" /></svg>
      <p>
        <span v-if="said" data-test="offline">{{ said }}</span> <b v-if="count" data-test="waiting">{{ count }}</b>
        <a v-if="signInFirst" href="/sign-in">{{ t('kept.sign_in') }}</a>
      </p>
      <PushButton data-test="kept-retry" @click="retry">{{ t('offline.retry') }}</PushButton>
    </div>
    <div v-for="entry in refused" :key="entry.id" class="refused" role="alert" data-test="refused">
      <p class="what">
        <b>{{ t('kept.refused') }}: {{ t(`kept.kind.${entry.kind}`) }} {{ entry.subject }}</b>
        <span class="muted">{{ entry.facts }}</span>
      </p>
      <p v-for="(text, field) in entry.refused?.errors" :key="field" class="ember">{{ text }}</p>
      <div class="row">
        <PushButton v-if="FORMS.includes(entry.kind)" main data-test="refused-change" @click="mend(entry)">{{
          t('kept.change')
        }}</PushButton>
        <PushButton data-test="refused-again" @click="tryAgain(entry)">{{ t('kept.again') }}</PushButton>
        <PushButton bare data-test="refused-discard" @click="discard(entry)">{{ t('kept.discard') }}</PushButton>
      </div>
    </div>
    <details v-if="waiting.length" data-test="kept-list">
      <summary>{{ t('kept.list') }}</summary>
      <ol>
        <li v-for="entry in waiting" :key="entry.id" data-test="kept-entry">
          <span
            ><b>{{ t(`kept.kind.${entry.kind}`) }} {{ entry.subject }}</b>
            <span class="muted">{{ entry.facts }}; {{ t('kept.made', { time: when(entry) }) }}</span></span
          >
          <button type="button" class="as-link" @click="discard(entry)">{{ t('kept.discard') }}</button>
        </li>
      </ol>
    </details>
  </section>
</template>

<style scoped>
.kept {
  background: var(--paper);
  border-bottom: 1.5px solid var(--ink);
  padding: 6px 24px;
}
.state {
  display: flex;
  gap: 10px;
  align-items: center;
}
p {
  margin: 0;
}
.state p {
  flex: 1;
}
svg {
  flex: none;
}
.refused {
  border: 1.5px solid var(--ember);
  border-radius: 3px;
  padding: 10px 12px;
  margin: 8px 0;
}
.what {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
}
.refused .row {
  margin-top: 8px;
}
summary {
  min-height: 44px;
  line-height: 44px;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  gap: 10px;
  justify-content: space-between;
  align-items: center;
  border-top: 1px solid var(--line);
  min-height: 44px;
}
@media (max-width: 52.49em) {
  .kept {
    padding: 6px 14px;
  }
}
</style>
