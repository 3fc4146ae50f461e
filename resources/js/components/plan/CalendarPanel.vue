<script setup lang="ts">
import { router } from '@inertiajs/vue3'
import { t } from '@/composables/useText'

/** The plan for any calendar: a secret address, or a file. */
defineProps<{ address: string | null; mayWrite: boolean }>()
const renew = () => router.post('/calendar', {}, { preserveScroll: true })
</script>

<template>
  <section aria-labelledby="calendar">
    <h2 id="calendar">{{ t('ahead.calendar') }}</h2>
    <p class="muted small">{{ t('ahead.calendar_text') }}</p>
    <p v-if="address && mayWrite">
      <code data-test="calendar-address">{{ address }}</code>
    </p>
    <div class="row">
      <v-btn v-if="mayWrite" size="small" data-test="renew" @click="renew">{{ t(address ? 'ahead.renew' : 'ahead.subscribe') }}</v-btn>
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
