<script setup lang="ts">
import { router, useForm } from '@inertiajs/vue3'
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'

/** Tables of rain: what is known, another one, none any more. */
defineProps<{ rain: string }>()
const form = useForm<{ file: File | null }>({ file: null })
function take(event: Event): void {
  const input = event.target as HTMLInputElement
  form.file = input.files?.[0] ?? null
  if (form.file) form.post('/weather', { preserveScroll: true, onFinish: () => (input.value = '') })
}
</script>

<template>
  <div class="fields" data-test="weather-table">
    <p data-test="rain-known">{{ rain || t('weather.none') }}</p>
    <label class="file">
      <span>{{ t('weather.table') }}</span>
      <input type="file" accept=".csv,text/csv,text/plain" :disabled="form.processing" data-test="rain-file" @change="take" />
    </label>
    <p class="muted small">{{ t('weather.table_hint') }}</p>
    <p v-if="form.errors.file" class="ember" role="alert">{{ form.errors.file }}</p>
    <div v-if="rain" class="row">
      <PushButton href="/export/rain_hours.csv" data-test="export-rain">{{ t('weather.export') }}</PushButton>
      <PushButton data-test="forget-rain" @click="router.delete('/weather', { preserveScroll: true })">{{
        t('weather.forget')
      }}</PushButton>
    </div>
  </div>
</template>

<style scoped>
.fields {
  margin-top: 24px;
}
p {
  margin: 0;
}
.file {
  display: grid;
  gap: 6px;
  font-weight: 620;
}
.file input {
  min-height: 44px;
}
</style>
