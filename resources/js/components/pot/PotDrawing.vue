<script setup lang="ts">
import { useId } from 'vue'

/** A pot cut open: the wax as high as it stands, greyer with its grit, and how high a coiled chain lies. */
defineProps<{ level: number; coil: number; grit: number; empty: boolean }>()
const inside = useId()
const TOP = 18
const DEEP = 109
const at = (share: number) => TOP + DEEP * (1 - share)
</script>

<template>
  <svg class="cut-open" width="92" height="80" viewBox="0 0 170 146" aria-hidden="true">
    <path d="M10 10h150l-10 116a10 10 0 0 1-10 9H30a10 10 0 0 1-10-9Z" fill="var(--pot)" />
    <path d="M22 18h126l-8.600 104a6 6 0 0 1-6 5H36.600a6 6 0 0 1-6-5Z" fill="var(--paper)" />
    <clipPath :id="inside"><path d="M22 18h126l-8.600 104a6 6 0 0 1-6 5H36.600a6 6 0 0 1-6-5Z" /></clipPath>
    <g v-if="!empty" :clip-path="`url(#${inside})`">
      <rect x="20" width="130" :y="at(level)" :height="DEEP * level + 2" fill="var(--bath)" />
      <rect x="20" width="130" :y="at(level)" :height="DEEP * level + 2" fill="var(--link-line)" :opacity="grit * 0.6" />
      <rect x="20" width="130" :y="at(level)" height="5" fill="var(--coat)" />
    </g>
    <line x1="26" x2="144" :y1="at(coil)" :y2="at(coil)" stroke="var(--ink)" stroke-width="1.6" stroke-dasharray="5 4" />
  </svg>
</template>

<style scoped>
.cut-open {
  display: block;
}
</style>
