<script setup lang="ts">
import { computed } from 'vue'
import { t } from '@/composables/useText'
import type { BathCurve } from '@/types/server'

/** The bath over time: measured over predicted, the melting range and the limit of the wax. Only the drawing's scale is made here. */
const props = defineProps<{ bath: BathCurve }>()
const WIDE = 460
const HIGH = 210
const LEFT = 52
const scale = computed(() => {
  const { bath } = props
  const hottest = Math.max(bath.limit, ...bath.measured.map(([, c]) => c), ...bath.predicted.map(([, c]) => c))
  const [low, top] = [Math.min(10, ...bath.measured.map(([, c]) => c)), hottest + 10]
  const x = (at: number) => LEFT + ((at - bath.from) / (bath.until - bath.from)) * (WIDE - LEFT)
  const y = (c: number) => HIGH - ((c - low) / (top - low)) * HIGH
  const path = (points: [number, number][]) => points.map(([at, c], i) => `${i ? 'L' : 'M'}${x(at).toFixed(1)} ${y(c).toFixed(1)}`).join('')
  return { x, y, top, predicted: path(bath.predicted), measured: path(bath.measured), last: bath.measured[bath.measured.length - 1] }
})
</script>

<template>
  <svg :viewBox="`0 -14 ${WIDE} ${HIGH + 18}`" role="img" :aria-label="t('heat.curve')" class="bath">
    <rect
      :x="LEFT"
      :width="WIDE - LEFT"
      :y="scale.y(bath.melts[1])"
      :height="scale.y(bath.melts[0]) - scale.y(bath.melts[1])"
      class="melts" />
    <template v-for="mark in bath.marks" :key="mark.at">
      <line :x1="LEFT" :x2="WIDE" :y1="scale.y(mark.at)" :y2="scale.y(mark.at)" class="mark" />
      <text :x="LEFT - 8" :y="scale.y(mark.at) + 4" text-anchor="end">{{ mark.text }}</text>
    </template>
    <text :x="WIDE" :y="scale.y(bath.melts[0]) + 13" text-anchor="end">{{ t('heat.melts') }}</text>
    <line :x1="LEFT" :x2="WIDE" :y1="scale.y(bath.limit)" :y2="scale.y(bath.limit)" class="limit" />
    <text :x="WIDE" :y="scale.y(bath.limit) - 5" text-anchor="end" class="limit-text">{{ t('bath.limit') }}</text>
    <path :d="scale.predicted" class="predicted" />
    <path :d="scale.measured" class="measured" />
    <circle v-if="scale.last" :cx="scale.x(scale.last[0])" :cy="scale.y(scale.last[1])" r="5.5" class="last" />
  </svg>
</template>

<style scoped>
.bath {
  width: 100%;
  height: auto;
  display: block;
}
.melts {
  fill: var(--coat);
  opacity: 0.7;
}
.mark {
  stroke: var(--line);
}
.limit {
  stroke: var(--ember);
  stroke-width: 2;
}
.predicted {
  fill: none;
  stroke: var(--steel);
  stroke-width: 1.6;
  stroke-dasharray: 4 4;
}
.measured {
  fill: none;
  stroke: var(--amber);
  stroke-width: 3;
}
.last {
  fill: var(--amber);
  stroke: var(--ink);
}
text {
  font-size: 12px;
  fill: var(--steel);
}
.limit-text {
  fill: var(--ember);
  font-weight: 620;
}
</style>
