<script setup lang="ts">
import { router, usePage } from '@inertiajs/vue3'
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'

/** The plan for any calendar: a secret address of one's own, shown once, or a file. */
defineProps<{ on: boolean }>()
const page = usePage()
const renew = () => router.post('/calendar', {}, { preserveScroll: true })
const end = () => router.delete('/calendar', { preserveScroll: true })
</script>

<template>
  <section aria-labelledby="calendar">
    <h2 id="calendar">{{ t('ahead.calendar') }}</h2>
    <p class="muted small">{{ t('ahead.calendar_text') }}</p>
    <div v-if="page.props.calendarAddress" class="caution" role="status">
      <p>{{ t('ahead.calendar_once') }}</p>
      <code data-test="calendar-address">{{ page.props.calendarAddress }}</code>
    </div>
    <p v-else-if="on" class="small">{{ t('ahead.calendar_on') }}</p>
    <div class="row">
      <PushButton data-test="renew" @click="renew">{{ t(on ? 'ahead.renew' : 'ahead.subscribe') }}</PushButton>
      <PushButton v-if="on" data-test="calendar-off" @click="end">{{ t('ahead.calendar_off') }}</PushButton>
      <a href="/ahead/dripel.ics" data-test="calendar-file">{{ t('ahead.file') }}</a>
    </div>
  </section>
</template>

<style scoped>
p {
  margin: 4px 0 8px;
}
code {
  overflow-wrap: anywhere;
  font-size: var(--type-2);
}
.row {
  gap: 14px;
  margin-bottom: 18px;
}
</style>
