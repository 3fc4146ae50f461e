<script setup lang="ts">
import { computed } from 'vue'
import NextStepRow from '@/components/shed/NextStepRow.vue'
import { usePhone } from '@/composables/usePhone'
import { t } from '@/composables/useText'
import type { NextLine, NextStep } from '@/types/server'

/** What to do next, in three parts; what stands for several things opens into them. */
const props = defineProps<{ title: string; empty: string; lines: NextLine[]; mayWrite: boolean }>()
const emit = defineEmits<{ act: [step: NextStep] }>()
const phone = usePhone()
const parts = computed(() =>
  (['now', 'bench', 'any_day'] as const)
    .map((part) => ({ part, lines: props.lines.filter((line) => line.part === part) }))
    .filter((one) => one.lines.length),
)
</script>

<template>
  <section aria-labelledby="next-title">
    <h2 id="next-title">{{ title }}</h2>
    <p v-if="!lines.length" class="muted">{{ empty }}</p>
    <!-- On the phone what can be done any day waits behind a line. -->
    <component
      :is="phone && one.part === 'any_day' ? 'details' : 'div'"
      v-for="one in parts"
      :key="one.part"
      :class="{ folded: phone && one.part === 'any_day' }"
      :data-test="`part-${one.part}`">
      <summary v-if="phone && one.part === 'any_day'" data-test="any-day">{{ t('shed.any_day', { count: one.lines.length }) }}</summary>
      <h3 v-else class="small muted">{{ t(`shed.part.${one.part}`) }}</h3>
      <ol>
        <li v-for="line in one.lines" :key="line.line.key" :data-test="`next-${line.line.kind}`">
          <NextStepRow :step="line.line" :may-write="mayWrite" :any-day="one.part === 'any_day'" @act="emit('act', $event)" />
          <details v-if="line.steps.length" :class="{ wide: one.part === 'any_day' }" :data-test="`steps-${line.line.kind}`">
            <summary class="small">{{ t('shed.steps', { count: line.steps.length }) }}</summary>
            <ol class="steps">
              <li v-for="step in line.steps" :key="step.key" :data-test="`next-${step.kind}`">
                <NextStepRow :step="step" :may-write="mayWrite" short @act="emit('act', $event)" />
              </li>
            </ol>
          </details>
        </li>
      </ol>
    </component>
  </section>
</template>

<style scoped>
h3 {
  margin: 12px 0 0;
  font-weight: 620;
}
ol {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  padding: 9px 0;
  border-bottom: 1px solid var(--line);
}
li:last-child {
  border: 0;
}
details {
  margin: 4px 0 0 96px;
}
summary {
  cursor: pointer;
  color: var(--steel);
  min-height: 24px;
}
.steps li {
  padding: 7px 0;
}
details.wide {
  margin-left: 0;
}
@media (max-width: 52.49em) {
  details {
    margin-left: 0;
  }
  summary {
    min-height: 44px;
    line-height: 44px;
  }
}
</style>
