<script setup lang="ts">
import { computed } from 'vue'
import LineChart from '@/components/charts/LineChart.vue'
import { t } from '@/composables/useText'
import type { EarView } from '@/types/server'

/** Wax cycles as bars that lie on one scale of kilometres, loud ends marked; over them how many are still quiet so far. */
const props = defineProps<{ ear: EarView }>()
const WIDE = 420
const ROW = 7
const top = 4
const high = computed(() => top + props.ear.cycles.length * ROW + 16)
</script>

<template>
  <LineChart :chart="ear.chart" :high="190" />
  <svg :viewBox="`0 0 ${WIDE} ${high}`" role="img" :aria-label="t('gauge.ear_chart')" data-test="ear-chart">
    <g v-for="(one, i) in ear.cycles" :key="i">
      <title>{{ one.text }}</title>
      <rect x="0" :y="top + i * ROW" :width="Math.max(2, WIDE * one.share)" :height="ROW - 2" :class="{ open: one.open }" />
      <path
        v-if="one.loud"
        :d="`M${WIDE * one.share} ${top + i * ROW - 1}v${ROW}m3 -${ROW - 1}v${ROW - 2}m3 -${ROW - 3}v${ROW - 4}`"
        class="loud" />
      <text v-if="one.loud" :x="WIDE * one.share + 10" :y="top + i * ROW + 6" class="word">{{ t('gauge.ear_loud') }}</text>
    </g>
    <line :x1="WIDE * ear.interval" :x2="WIDE * ear.interval" y1="2" :y2="high - 14" class="interval" />
    <text :x="WIDE * ear.interval" :y="high - 3" text-anchor="middle">{{ ear.intervalText }}</text>
    <text x="0" :y="high - 3">0</text>
    <text :x="WIDE" :y="high - 3" text-anchor="end">{{ ear.farText }}</text>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 560px;
  height: auto;
  margin: 6px 0 2px;
  display: block;
}
rect {
  fill: var(--coat);
  stroke: var(--coat-line);
  stroke-width: 0.7;
}
rect.open {
  stroke-dasharray: 2 2;
}
.loud {
  stroke: var(--ink);
  stroke-width: 1.5;
  fill: none;
}
.interval {
  stroke: var(--ink);
  stroke-dasharray: 3 3;
}
text {
  font-size: var(--type-1);
  fill: var(--steel);
}
text.word {
  font-size: var(--type-1);
  fill: var(--ink);
}
</style>
