<script setup lang="ts">
import PushButton from '@/components/layout/PushButton.vue'
import type { NextStep } from '@/types/server'

/** One thing to do: when, what, why, and the verb that settles it; within an evening without its day. */
defineProps<{ step: NextStep; mayWrite: boolean; short?: boolean; anyDay?: boolean }>()
const emit = defineEmits<{ act: [step: NextStep] }>()
</script>

<template>
  <div class="step" :class="{ short: short || anyDay }">
    <div v-if="!short && !anyDay" class="when" :class="{ ember: step.late }">
      {{ step.day }}<small>{{ step.hour }}</small>
    </div>
    <div class="what">
      <p class="title">{{ step.title }}</p>
      <p class="reason muted">
        <template v-if="short && step.hour">{{ step.hour }}. </template>{{ step.reason }}
      </p>
    </div>
    <PushButton
      v-if="mayWrite && step.verb"
      :aria-label="`${step.verbText}: ${step.title}`"
      :data-test="`act-${step.kind}`"
      @click="emit('act', step)"
      >{{ step.verbText }}</PushButton
    >
  </div>
</template>

<style scoped>
.step {
  display: grid;
  grid-template-columns: 86px 1fr auto;
  column-gap: 10px;
}
.step.short {
  grid-template-columns: 1fr auto;
}
.when {
  font-weight: 740;
  font-stretch: 88%;
  font-size: var(--type-4);
  line-height: 1.15;
}
small {
  display: block;
  font:
    500 var(--type-1) 'Archivo Variable',
    sans-serif;
  color: var(--steel);
}
.ember small {
  color: var(--ember);
  font-weight: 680;
}
.what {
  position: relative;
}
p {
  margin: 0;
}
.title {
  font-weight: 620;
  line-height: 1.25;
}
.reason {
  font-size: var(--type-2);
  line-height: 1.3;
  margin: 2px 0 0;
}
.push {
  --push-height: 26px;
  padding: 0 9px;
  font-size: var(--type-2);
  align-self: start;
}
@media (max-width: 15em) {
  .step,
  .step.short {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 52.49em) {
  .push {
    --push-height: 44px;
  }
}
</style>
