<script setup lang="ts">
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'
import type { PotDayPlanView } from '@/types/server'

/** The evening as a card for the wall: printed, it stands alone. */
defineProps<Pick<PotDayPlanView, 'steps' | 'layout'>>()
const print = () => window.print()
</script>

<template>
  <details data-test="card">
    <summary>{{ t('pot_day.card') }}</summary>
    <PushButton class="print" @click="print">{{ t('pot_day.print') }}</PushButton>
    <p class="layout">
      <b>{{ t('pot_day.layout') }}:</b> {{ layout.join(' · ') }}
    </p>
    <ol class="card">
      <li v-for="(step, i) in steps" :key="i">
        <b class="at">{{ step.at }}</b>
        <span
          ><b>{{ step.title }}</b
          ><template v-if="step.subject">, {{ step.subject }}</template
          ><template v-if="step.lasts">, {{ step.lasts }}</template
          ><small class="muted">{{ step.text }}</small></span
        >
      </li>
    </ol>
  </details>
</template>

<style scoped>
small {
  display: block;
  font-weight: 480;
}
details {
  margin-top: 8px;
}
.card {
  list-style: none;
  padding: 0;
  margin: 8px 0;
}
.card li {
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr);
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
  break-inside: avoid;
}
.at {
  font-stretch: 88%;
}
@media print {
  .print,
  summary {
    display: none;
  }
}
</style>
