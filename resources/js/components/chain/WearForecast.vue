<script setup lang="ts">
import { computed } from 'vue'
import { t } from '@/composables/useText'
import type { ForecastView } from '@/types/server'

/** How worn a chain is over its km: readings as points or as the stretch they leave open, the forecast as a band, the limit. */
const props = defineProps<{ forecast: ForecastView }>()
const WIDE = 560
const HIGH = 150
const LEFT = 8
const scale = computed(() => {
  const { forecast } = props
  const top = Math.max(1.25 * forecast.limit, ...forecast.readings.map((reading) => (reading.value ?? reading.lower ?? 0) * 1.1))
  const x = (km: number) => LEFT + (km / forecast.far) * (WIDE - LEFT)
  const y = (pct: number) => HIGH - Math.max(0, Math.min(1, pct / top)) * HIGH
  const line = (i: 1 | 2 | 3) => forecast.band.map((at) => `${x(at[0]).toFixed(1)} ${y(at[i]).toFixed(1)}`)
  return {
    x,
    y,
    top,
    band: `M${line(1).join('L')}L${line(3).reverse().join('L')}Z`,
    mean: `M${line(2).join('L')}`,
  }
})
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
    <svg :viewBox="`0 -16 ${WIDE} ${HIGH + 34}`" role="img" :aria-label="t('forecast.chart')">
      <path :d="scale.band" class="band" />
      <path :d="scale.mean" class="mean" />
      <line :x1="LEFT" :x2="WIDE" :y1="scale.y(forecast.limit)" :y2="scale.y(forecast.limit)" class="limit" />
      <text :x="LEFT" :y="scale.y(forecast.limit) - 5" class="limit-text">{{ t('forecast.limit', { limit: forecast.limitText }) }}</text>
      <g v-if="forecast.atLimit" class="at-limit" data-test="at-limit">
        <line
          :x1="scale.x(forecast.atLimit.p10)"
          :x2="scale.x(Math.min(forecast.far, forecast.atLimit.p90 ?? forecast.far))"
          :y1="scale.y(forecast.limit)"
          :y2="scale.y(forecast.limit)" />
        <circle
          v-if="forecast.atLimit.p50 !== null && forecast.atLimit.p50 <= forecast.far"
          :cx="scale.x(forecast.atLimit.p50)"
          :cy="scale.y(forecast.limit)"
          r="5" />
      </g>
      <line :x1="scale.x(forecast.now)" :x2="scale.x(forecast.now)" y1="0" :y2="HIGH" class="now" />
      <text :x="scale.x(forecast.now)" y="-4" text-anchor="middle">{{ t('forecast.now') }}</text>
      <g v-for="(reading, i) in forecast.readings" :key="i">
        <template v-if="reading.value !== null">
          <line
            :x1="scale.x(reading.km)"
            :x2="scale.x(reading.km)"
            :y1="scale.y(reading.value - reading.sigma)"
            :y2="scale.y(reading.value + reading.sigma)"
            class="spread" />
          <circle :cx="scale.x(reading.km)" :cy="scale.y(reading.value)" r="3.6" />
        </template>
        <line
          v-else
          :x1="scale.x(reading.km)"
          :x2="scale.x(reading.km)"
          :y1="scale.y(reading.lower ?? 0)"
          :y2="scale.y(reading.upper ?? scale.top)"
          class="stretch" />
      </g>
      <line :x1="LEFT" :x2="WIDE" :y1="HIGH" :y2="HIGH" class="ground" />
      <text :x="LEFT" :y="HIGH + 14">0</text>
      <text :x="WIDE" :y="HIGH + 14" text-anchor="end">{{ forecast.farText }}</text>
    </svg>
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
  font-size: 17px;
  font-weight: 620;
}
svg {
  width: 100%;
  height: auto;
  margin: 8px 0 2px;
}
.band {
  fill: var(--steel-2);
  opacity: 0.35;
}
.mean {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.limit {
  stroke: var(--ember);
  stroke-width: 2;
}
.limit-text {
  fill: var(--ember);
  font-weight: 620;
}
.at-limit line {
  stroke: var(--ember);
  stroke-width: 7;
  opacity: 0.45;
}
.at-limit circle {
  fill: var(--ember);
  stroke: var(--wall);
}
.now {
  stroke: var(--ink);
  stroke-dasharray: 3 4;
}
.spread {
  stroke: var(--ink);
  stroke-width: 1.4;
}
circle {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.8;
}
.stretch {
  stroke: var(--ink);
  stroke-width: 5;
  opacity: 0.4;
}
.ground {
  stroke: var(--steel-2);
}
text {
  font-size: 12px;
  fill: var(--steel);
}
</style>
