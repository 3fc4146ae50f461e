<script setup lang="ts">
import { t } from '@/composables/useText'
import type { JobStateView, JobView } from '@/types/server'

/** The whole job in its stretches: what is done, what is under way, what comes. */
const props = defineProps<{ job: JobView; state: JobStateView }>()
function at(steps: number[]): 'done' | 'now' | 'ahead' {
  if (props.state.current && steps.includes(props.state.current.step)) return 'now'
  return steps.some((step) => props.state.ahead.includes(step)) ? 'ahead' : 'done'
}
</script>

<template>
  <ol class="lanes" :aria-label="t('job.lanes')">
    <li v-for="lane in job.stretches" :key="lane.key" :class="at(lane.steps)" :aria-current="at(lane.steps) === 'now' ? 'step' : undefined">
      <b>{{ lane.text }}</b><span>{{ lane.time }}</span>
    </li>
  </ol>
</template>

<style scoped>
.lanes {
  list-style: none;
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: minmax(0, 1fr);
  gap: 3px;
  margin: 0;
  padding: 14px 24px 18px;
}
li {
  border: 1.2px solid var(--steel-2);
  border-radius: 3px;
  padding: 6px 8px;
  min-height: 46px;
  background: var(--paper);
  display: grid;
  align-content: center;
  line-height: 1.2;
  overflow: hidden;
}
b {
  font-size: var(--type-2);
  font-weight: 620;
}
span {
  font-size: var(--type-1);
  color: var(--steel);
}
.done {
  background: var(--wall);
  border-style: dashed;
}
.done b {
  font-weight: 480;
}
.now {
  background: var(--ink);
  border-color: var(--ink);
  color: var(--paper);
}
.now span {
  color: var(--paper);
}
@media (max-width: 52.49em) {
  .lanes {
    padding: 8px 14px;
    gap: 2px;
  }
  li {
    min-height: 10px;
    padding: 0;
  }
  b,
  span {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
}
</style>
