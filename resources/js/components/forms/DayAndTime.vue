<script setup lang="ts">
import DateField from '@/components/forms/DateField.vue'
import TimeField from '@/components/forms/TimeField.vue'
import { t } from '@/composables/useText'

/** A local day and a time of it; the time may be left out where only the day is known. */
const date = defineModel<string>('date', { required: true })
const time = defineModel<string>('time', { required: true })
defineProps<{ errors: { date?: string; time?: string }; timeHint?: string; timeLabel?: string }>()
</script>

<template>
  <div class="two day">
    <DateField v-model="date" :label="t('moment.date')" :error-messages="errors.date" name="date" />
    <TimeField v-model="time" :label="timeLabel ?? t('moment.time')" :error-messages="errors.time" :hint="timeHint" name="time" />
  </div>
</template>

<style scoped>
.day {
  grid-template-columns: 1.3fr 1fr;
}
</style>
