<script setup lang="ts">
import ChainOnHook from '@/components/chain/ChainOnHook.vue'
import ChainRun from '@/components/chain/ChainRun.vue'
import PotDrawing from '@/components/pot/PotDrawing.vue'
import SeatDrawing from '@/components/wear/SeatDrawing.vue'

/** One step of the loop, drawn as the pages draw it. */
defineProps<{ step: string }>()
</script>

<template>
  <div class="picture" aria-hidden="true">
    <ChainRun v-if="step === 'ride'" :coat="0.45" left="" />
    <template v-else-if="step === 'swap'">
      <ChainOnHook :coat="0" />
      <svg viewBox="0 0 40 20" width="40" height="20">
        <path d="M2 6h30l-5 -4M38 14H8l5 4" fill="none" stroke="var(--ink)" stroke-width="2" />
      </svg>
      <ChainOnHook :coat="1" />
    </template>
    <SeatDrawing v-else-if="step === 'measure'" seat="part" />
    <PotDrawing v-else-if="step === 'pot'" :level="0.62" :coil="0.4" :grit="0.2" :empty="false" />
    <template v-else-if="step === 'hang'">
      <ChainOnHook :coat="1" />
      <ChainOnHook :coat="1" />
    </template>
    <svg v-else-if="step === 'bike'" viewBox="0 0 120 72" width="150">
      <g fill="none" stroke="var(--ink)" stroke-width="2.4">
        <circle cx="26" cy="48" r="20" />
        <circle cx="94" cy="48" r="20" />
        <path d="M26 48 44 22h36L60 48ZM44 22 60 48 26 48M80 22 94 48M80 22l-4 -10h10M38 14h14M45 22l-3 -8" />
      </g>
      <circle cx="60" cy="48" r="6" fill="var(--coat)" stroke="var(--ink)" stroke-width="2" />
      <path d="M26 45h34M26 51h34" stroke="var(--coat-line)" stroke-width="2" />
    </svg>
  </div>
</template>

<style scoped>
.picture {
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 8px;
  height: 140px;
  overflow: hidden;
}
.picture > :deep(svg) {
  max-width: 100%;
  max-height: 132px;
}
</style>
