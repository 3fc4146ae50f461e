<script setup lang="ts">
import { t } from '@/composables/useText'
import type { JobStepView } from '@/types/server'

/** What must be confirmed one by one before a step counts as done. */
const ticked = defineModel<string[]>({ required: true })
defineProps<{ ticks: JobStepView['ticks']; title: string; asked: boolean }>()
</script>

<template>
  <fieldset class="ticks">
    <legend class="sr">{{ title }}</legend>
    <label v-for="tick in ticks" :key="tick.key"
      ><input v-model="ticked" type="checkbox" :value="tick.key" :data-test="`tick-${tick.key}`" /><span>{{ tick.text }}</span></label
    >
    <p v-if="asked" class="ember" role="alert" data-test="tick-all">{{ t('job.tick_all') }}</p>
  </fieldset>
</template>

<style scoped>
.ticks {
  display: grid;
  gap: 6px;
  max-width: 660px;
}
.ticks label {
  display: flex;
  gap: 14px;
  align-items: center;
  min-height: 48px;
  padding: 6px 12px;
  border: 1.2px solid var(--steel-2);
  border-radius: 3px;
  background: var(--paper);
  font-size: var(--type-4);
  cursor: pointer;
}
.ticks label:has(:checked) {
  border-color: var(--ink);
}
.ticks input {
  width: 24px;
  height: 24px;
  accent-color: var(--ink);
  flex: none;
}
.ticks p {
  margin: 4px 0 0;
  font-weight: 620;
}
</style>
