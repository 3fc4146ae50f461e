<script setup lang="ts">
import { computed } from 'vue'

/** A drop-in gauge on a chain: hooked behind one roller, its other tooth resting on the next gap, part of the way in, or in to the stop. */
const props = defineProps<{ seat: 'rests' | 'part' | 'enters' }>()
// Turned about the hook, as the hand sees it.
const turn = computed(() => ({ rests: -6.5, part: -3, enters: 0 })[props.seat])
// The less a chain has grown, the nearer its last roller lies under the tooth.
const rollers = computed(() => [0, 1, 2, 3, 4].map((i) => 14 + i * { rests: 25.9, part: 27.1, enters: 28 }[props.seat]))
</script>

<template>
  <svg viewBox="-6 -9 152 71" aria-hidden="true">
    <g class="chain">
      <rect v-for="(x, i) in rollers.slice(0, -1)" :key="x" :x="x - 8" :y="i % 2 ? 40 : 37" width="44" :height="i % 2 ? 13 : 19" rx="7" />
      <circle v-for="x in rollers" :key="`r${x}`" :cx="x" cy="46.5" r="7.2" />
      <circle v-for="x in rollers" :key="`p${x}`" :cx="x" cy="46.5" r="2.2" class="pin" />
    </g>
    <g :transform="`rotate(${turn} 26 46)`" class="gauge">
      <path
        d="M4 10h122a4 4 0 0 1 4 4v8a4 4 0 0 1-4 4h-8l-3 17.5q-2.6 4.6-6.6 0L105 26H33l-1 15q-.6 6-5.2 6-4.4 0-4-5.5L24 26H4a4 4 0 0 1-4-4v-8a4 4 0 0 1 4-4Z" />
    </g>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  height: auto;
  display: block;
}
.chain rect {
  fill: var(--outer);
  stroke: var(--link-line);
}
.chain circle {
  fill: var(--paper);
  stroke: var(--link-line);
  stroke-width: 1.4;
}
.chain .pin {
  fill: var(--pin);
  stroke: none;
}
.gauge path {
  fill: var(--paper);
  fill-opacity: 0.82;
  stroke: var(--ink);
  stroke-width: 2;
  stroke-linejoin: round;
}
</style>
