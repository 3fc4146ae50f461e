<script setup lang="ts">
import { t } from '@/composables/useText'

/** Where a new chain is on its way from the box to the pot. */
const props = defineProps<{ at: 'choose' | 'size' | 'strip' | 'pot' }>()
const steps = ['choose', 'size', 'strip', 'pot'] as const
const done = (step: (typeof steps)[number]) => steps.indexOf(step) < steps.indexOf(props.at)
</script>

<template>
  <ol class="flow" :aria-label="t('flow.title')">
    <li
      v-for="(step, i) in steps"
      :key="step"
      :class="{ on: step === at, done: done(step) }"
      :aria-current="step === at ? 'step' : undefined">
      <b>{{ done(step) ? '✓' : i + 1 }}</b><span>{{ t(`flow.${step}`) }}</span>
    </li>
  </ol>
</template>

<style scoped>
.flow {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  padding: 0 0 10px;
  margin: 0 0 14px;
  border-bottom: 1px solid var(--line);
}
li {
  display: flex;
  gap: 7px;
  align-items: center;
  font-size: var(--type-2);
  color: var(--steel);
}
b {
  width: 22px;
  height: 22px;
  border: 1.2px solid var(--steel-2);
  border-radius: 3px;
  display: grid;
  place-items: center;
  font-size: var(--type-2);
}
.on {
  color: var(--ink);
  font-weight: 680;
}
.on b {
  background: var(--ink);
  border-color: var(--ink);
  color: var(--paper);
}
.done b {
  border-color: var(--ink);
  color: var(--ink);
}
</style>
