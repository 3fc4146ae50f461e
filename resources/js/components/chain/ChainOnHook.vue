<script setup lang="ts">
import { useId } from 'vue'
import { drawLinks } from './links'

/** A chain over its hook: two strands, coated from the top down as far as the wax goes. */
defineProps<{ coat: number }>()
const LONG = 92
const strands = [
  { x: 17, links: drawLinks(8, LONG, 13, 8.5) },
  { x: 47, links: drawLinks(7, LONG * (7 / 8), 13, 8.5) },
]
const TOP = 28
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
    <g v-for="strand in strands" :key="strand.x">
      <g v-for="link in strand.links" :key="link.along">
        <rect
          :x="strand.x - link.width / 2"
          :y="TOP + link.along - link.length * 0.55"
          :width="link.width"
          :height="link.length * 1.1"
          :rx="link.radius - 1"
          :fill="link.outer ? 'var(--outer)' : 'var(--inner)'"
          stroke="var(--link-line)"
          stroke-width=".8" />
        <template v-if="link.outer">
          <circle
            v-for="side in [-1, 1]"
            :key="side"
            :cx="strand.x"
            :cy="TOP + link.along + side * link.length * 0.22"
            r="1.7"
            fill="var(--pin)" />
        </template>
      </g>
    </g>
    <g v-if="coat > 0" :clip-path="`url(#${clip})`">
      <template v-for="strand in strands" :key="strand.x">
        <rect
          v-for="link in strand.links"
          :key="`w${link.along}`"
          :x="strand.x - link.width / 2 - 2"
          :y="TOP + link.along - link.length * 0.62"
          :width="link.width + 4"
          :height="link.length * 1.24"
          rx="5"
          fill="var(--coat)"
          stroke="var(--coat-line)"
          stroke-width=".8" />
        <template v-for="link in strand.links" :key="`c${link.along}`">
          <rect
            :x="strand.x - link.width / 2"
            :y="TOP + link.along - link.length * 0.55"
            :width="link.width"
            :height="link.length * 1.1"
            :rx="link.radius - 1"
            fill="var(--coat-deep)"
            stroke="var(--coat-pin)"
            stroke-width=".8" />
          <template v-if="link.outer">
            <circle
              v-for="side in [-1, 1]"
              :key="side"
              :cx="strand.x"
              :cy="TOP + link.along + side * link.length * 0.22"
              r="1.7"
              fill="var(--coat-pin)" />
          </template>
        </template>
      </template>
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
