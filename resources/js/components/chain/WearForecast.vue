<script setup lang="ts">
import LineChart from '@/components/charts/LineChart.vue'
import { t } from '@/composables/useText'
import type { ForecastView } from '@/types/server'

/** How worn a chain is and when its limit comes, in sentences and as a chart. */
defineProps<{ forecast: ForecastView }>()
</script>

<template>
  <section aria-labelledby="wear-forecast" data-test="forecast" :data-verdict="forecast.verdict">
    <h2 id="wear-forecast">{{ t('forecast.title') }}</h2>
    <p
      v-for="(sentence, i) in forecast.sentences"
      :key="sentence"
      :class="{ lead: i === 0, ember: i === 0 && forecast.verdict === 'retire' }">
      {{ sentence }}
    </p>
    <LineChart :chart="forecast.chart" />
    <p class="muted small">{{ forecast.why }}</p>
  </section>
</template>

<style scoped>
section {
  margin: 18px 0 8px;
  max-width: 720px;
}
p {
  margin: 4px 0;
}
.lead {
  font-size: var(--type-4);
  font-weight: 620;
}
</style>
