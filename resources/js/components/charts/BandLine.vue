<script setup lang="ts">
/** A figure on a line from nothing to all: its band, its middle, and what it is held against. Shares from 0 to 1. */
defineProps<{ low: number; high: number; at: number; mark: number | null; label: string }>()
const WIDE = 280
const x = (share: number) => 4 + share * (WIDE - 8)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDE} 24`" preserveAspectRatio="none" role="img" :aria-label="label">
    <line :x1="x(0)" y1="17" :x2="x(1)" y2="17" class="ground" vector-effect="non-scaling-stroke" />
    <rect :x="x(low)" y="7" :width="Math.max(2, x(high) - x(low))" height="10" class="band" />
    <line :x1="x(at)" :x2="x(at)" y1="3" y2="20" class="mean" vector-effect="non-scaling-stroke" />
    <path v-if="mark !== null" :d="`M${x(mark) - 4} 24l4 -7l4 7z`" class="mark" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: 24px;
  margin: 4px 0 2px;
}
.ground {
  stroke: var(--line);
}
.band {
  fill: var(--steel);
  opacity: 0.3;
}
.mean {
  stroke: var(--ink);
  stroke-width: 2;
}
.mark {
  fill: var(--ink);
}
</style>
