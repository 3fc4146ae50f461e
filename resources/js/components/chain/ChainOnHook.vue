<script setup lang="ts">
import { useId } from 'vue'
import ChainStrand from './ChainStrand.vue'

/** A chain over its hook: two strands, coated from the top down as far as the wax goes. */
defineProps<{ coat: number; unsure?: boolean }>()
const LONG = 92
const TOP = 28
const strands = [
  { x: 17, count: 8, length: LONG },
  { x: 47, count: 7, length: LONG * (7 / 8) },
]
const clip = useId()
</script>

<template>
  <svg class="hook" viewBox="0 0 64 126" width="64" height="126" aria-hidden="true" :data-coat="coat">
    <clipPath :id="clip"><rect class="coat-clip" x="0" y="0" width="64" :height="TOP + LONG * coat" /></clipPath>
    <rect x="29.5" y="0" width="5" height="18" rx="2" fill="var(--ink)" />
    <path
      d="M17 31Q32 13 47 31"
      fill="none"
      :stroke="coat > 0 ? 'var(--coat-loop)' : 'var(--inner)'"
      stroke-width="9"
      stroke-linecap="round" />
    <g v-for="waxed in coat > 0 ? [false, true] : [false]" :key="String(waxed)" :clip-path="waxed ? `url(#${clip})` : undefined">
      <ChainStrand
        v-for="strand in strands"
        :key="strand.x"
        :count="strand.count"
        :length="strand.length"
        :outer="13"
        :inner="8.5"
        :waxed="waxed"
        :ghost="unsure"
        :transform="`translate(${strand.x} ${TOP}) rotate(90)`" />
    </g>
  </svg>
</template>

<style scoped>
.hook {
  display: block;
  overflow: visible;
}
.coat-clip {
  transition: height 0.5s ease;
}
</style>
