<script setup lang="ts">
import { computed } from 'vue'
import NumberField from '@/components/forms/NumberField.vue'
import { t } from '@/composables/useText'

/** A week in seven distances; all empty, nobody said. As a form sends it: seven figures, from Monday on, with spaces between. */
const value = defineModel<string>({ default: '' })
const props = defineProps<{
  legend: string
  hint: string
  unit: string
  weekdays: { value: number; title: string }[]
  /** The same as it was ridden of late; empty: nothing is known. */
  ridden: string
  errorMessages?: string
  name: string
}>()
const days = computed(() => {
  const said = value.value.trim() === '' ? [] : value.value.trim().split(/\s+/)
  return Array.from({ length: props.weekdays.length }, (_, i) => said[i] ?? '')
})
function say(day: number, km: string): void {
  const next = days.value.map((old, i) => (i === day ? km.replace(/\s/g, '') : old))
  value.value = next.every((one) => one === '') ? '' : next.map((one) => one || '0').join(' ')
}
</script>

<template>
  <fieldset>
    <legend>{{ legend }}, {{ unit }}</legend>
    <div class="week">
      <label v-for="day in weekdays" :key="day.value" class="small">
        {{ day.title }}
        <NumberField
          slim
          :model-value="days[day.value - 1] ?? ''"
          :name="`${name}-${day.value}`"
          :error-messages="errorMessages"
          @update:model-value="say(day.value - 1, $event)" />
      </label>
    </div>
    <p class="small muted hint">
      {{ hint }}
      <button v-if="ridden" type="button" class="as-link" :data-test="`ridden-${name}`" @click="value = ridden">
        {{ t('bike.as_ridden') }}
      </button>
      <button v-if="value" type="button" class="as-link" :data-test="`clear-${name}`" @click="value = ''">
        {{ t('bike.week_clear') }}
      </button>
    </p>
    <p v-if="errorMessages" class="ember small" role="alert">{{ errorMessages }}</p>
  </fieldset>
</template>

<style scoped>
.week {
  display: grid;
  grid-template-columns: repeat(7, minmax(0, 1fr));
  gap: 6px;
  max-width: 520px;
}
@media (max-width: 52.49em) {
  .week {
    gap: 2px;
  }
}
label {
  display: grid;
  gap: 2px;
}
.week :deep(input) {
  width: 100%;
  min-height: 40px;
}
.hint {
  margin: 6px 0 0;
}
.hint button {
  margin-left: 10px;
}
</style>
