<script setup lang="ts">
import { computed } from 'vue'
import type { Loop } from '@/types/server'

/** A chain around its ring and sprocket, to scale; the figures come from the core, in mm. */
const props = defineProps<{ loop: Loop; cut: string; label: string }>()
const MARGIN = 14
const view = computed(() => {
  const { chainstay, front, rear } = props.loop
  const high = Math.max(front, rear) + MARGIN
  return [-rear - MARGIN, -high, rear + chainstay + front + 2 * MARGIN, 2 * high].join(' ')
})
const path = computed(() => {
  const { rear, front, rearX, rearY, frontX, frontY } = props.loop
  // Over the top, round the ring, back below, round the sprocket; the larger of the two is embraced by more than half.
  const ring = front >= rear ? 1 : 0
  return `M${rearX} ${-rearY}L${frontX} ${-frontY}A${front} ${front} 0 ${ring} 1 ${frontX} ${frontY}L${rearX} ${rearY}A${rear} ${rear} 0 ${1 - ring} 1 ${rearX} ${-rearY}Z`
})
</script>

<template>
  <svg class="loop" :viewBox="view" role="img" :aria-label="label">
    <circle cx="0" cy="0" :r="loop.rear" class="wheel" />
    <circle :cx="loop.chainstay" cy="0" :r="loop.front" class="wheel" />
    <path :d="path" class="links" />
    <path :d="path" class="pins" />
    <line x1="0" y1="0" :x2="loop.chainstay" y2="0" class="stay" />
    <circle cx="0" cy="0" r="4" class="axle" />
    <circle :cx="loop.chainstay" cy="0" r="4" class="axle" />
    <!-- Where to cut: on the lower run, where the ends meet on the bike. -->
    <g :transform="`translate(${(loop.rearX + loop.frontX) / 2} ${(loop.rearY + loop.frontY) / 2})`" class="cut">
      <line x1="0" y1="-12" x2="0" y2="12" />
      <text x="0" y="-20" text-anchor="middle">{{ cut }}</text>
    </g>
  </svg>
</template>

<style scoped>
.loop {
  display: block;
  width: 100%;
  max-width: 460px;
  height: auto;
}
.wheel {
  fill: none;
  stroke: var(--steel-2);
  stroke-width: 1.5;
}
.links {
  fill: none;
  stroke: var(--outer);
  stroke-width: 8;
  stroke-linejoin: round;
}
.pins {
  fill: none;
  stroke: var(--pin);
  stroke-width: 3;
  stroke-dasharray: 0 12.7;
  stroke-linecap: round;
}
.stay {
  stroke: var(--steel-2);
  stroke-dasharray: 4 4;
}
.axle {
  fill: var(--ink);
}
.cut text {
  font-size: var(--type-4);
  font-weight: 680;
  fill: var(--ink);
}
.cut line {
  stroke: var(--ink);
  stroke-width: 3;
}
</style>
