<script setup lang="ts">
import { useId } from 'vue'
import ChainStrand from './ChainStrand.vue'
import { t } from '@/composables/useText'

/** The chain on the bike, as a run of links; its coat of wax reaches as far as there is wax left, to the pixel. */
defineProps<{ coat: number; left: string; unsure?: boolean }>()
const LENGTH = 262
const strand = { count: 22, length: LENGTH, outer: 15, inner: 10 }
const clip = useId()
</script>

<template>
  <svg class="run" viewBox="0 0 268 26" role="img" :aria-label="`${t('chain.coat')}: ${left}`" :data-coat="coat">
    <clipPath :id="clip"><rect class="coat-clip" x="0" y="0" :width="3 + LENGTH * coat" height="26" /></clipPath>
    <ChainStrand v-bind="strand" :ghost="unsure" transform="translate(3 13)" />
    <g v-if="coat > 0" :clip-path="`url(#${clip})`"><ChainStrand v-bind="strand" waxed transform="translate(3 13)" /></g>
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
