<script setup lang="ts">
import { useId } from 'vue'
import { t } from '@/composables/useText'
import { drawLinks } from './links'

/** The chain on the bike, as a run of links under its coat of wax. */
const props = defineProps<{ coat: number; left: string }>()
const LENGTH = 262
const links = drawLinks(22, LENGTH, 15, 10)
const clip = useId()
</script>

<template>
  <svg class="run" viewBox="0 0 268 26" role="img" :aria-label="`${t('chain.coat')}: ${left}`" data-test="coat" :data-coat="props.coat">
    <clipPath :id="clip"><rect class="coat-clip" x="0" y="0" :width="3 + LENGTH * coat" height="26" /></clipPath>
    <g v-for="link in links" :key="link.along">
      <rect
        :x="3 + link.along - link.length * 0.55"
        :y="13 - link.width / 2"
        :width="link.length * 1.1"
        :height="link.width"
        :rx="link.radius"
        :fill="link.outer ? 'var(--outer)' : 'var(--inner)'"
        stroke="var(--link-line)"
        stroke-width=".8" />
      <template v-if="link.outer">
        <circle v-for="side in [-1, 1]" :key="side" :cx="3 + link.along + side * link.length * 0.25" cy="13" r="1.8" fill="var(--pin)" />
      </template>
    </g>
    <g v-if="coat > 0" :clip-path="`url(#${clip})`">
      <rect
        v-for="link in links"
        :key="`w${link.along}`"
        :x="3 + link.along - link.length * 0.62"
        :y="13 - link.width / 2 - 2.5"
        :width="link.length * 1.24"
        :height="link.width + 5"
        rx="5"
        fill="var(--coat)"
        stroke="var(--coat-line)"
        stroke-width=".8" />
      <template v-for="link in links" :key="`c${link.along}`">
        <rect
          :x="3 + link.along - link.length * 0.55"
          :y="13 - link.width / 2"
          :width="link.length * 1.1"
          :height="link.width"
          :rx="link.radius"
          fill="var(--coat-deep)"
          stroke="var(--coat-pin)"
          stroke-width=".8" />
        <template v-if="link.outer">
          <circle
            v-for="side in [-1, 1]"
            :key="side"
            :cx="3 + link.along + side * link.length * 0.25"
            cy="13"
            r="1.8"
            fill="var(--coat-pin)" />
        </template>
      </template>
    </g>
  </svg>
</template>

<style scoped>
.run {
  display: block;
  width: 100%;
  max-width: 276px;
  height: auto;
  overflow: visible;
}
.coat-clip {
  transition: width 0.5s ease;
}
</style>
