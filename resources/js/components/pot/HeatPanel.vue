<script setup lang="ts">
import { computed, reactive } from 'vue'
import NumberField from '@/components/forms/NumberField.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import { newActionId } from '@/composables/useActionForm'
import { usePreview } from '@/composables/usePreview'
import { t } from '@/composables/useText'
import type { HeatView } from '@/types/server'

/** How the wax would heat up: when it is liquid, when to plug it in, and what could go wrong. */
const props = defineProps<{ pot: number; temperature: string }>()
const form = reactive({
  power: 'low',
  start: props.temperature === 'F' ? '64' : '18',
  target: props.temperature === 'F' ? '185' : '85',
  by: '',
})
const { preview, problems } = usePreview<HeatView>(
  'post',
  () => `/pots/${props.pot}/heat`,
  () => (form.start && form.target ? { ...form, by: form.by || null, action_id: newActionId() } : null),
)
const powers = ['low', 'high'].map((value) => ({ value, title: t(`heat.${value}`) }))
const WIDE = 420
const HIGH = 150
// Only the drawing's scale; the figures are the core's, in °C and minutes.
const scale = computed(() => {
  const heat = preview.value
  if (!heat) return null
  const last = heat.curve[heat.curve.length - 1]?.[0] || 1
  const top = Math.max(heat.limit, ...heat.curve.map(([, celsius]) => celsius)) + 8
  const x = (minutes: number) => (minutes / last) * WIDE
  const y = (celsius: number) => HIGH - (celsius / top) * HIGH
  return { x, y, last, path: heat.curve.map(([m, c], i) => `${i ? 'L' : 'M'}${x(m).toFixed(1)} ${y(c).toFixed(1)}`).join('') }
})
</script>

<template>
  <div class="panel fields" data-test="heat">
    <TapChoice v-model="form.power" :legend="t('heat.power')" :options="powers" test="power" />
    <p v-if="problems.power" class="ember" role="alert">{{ problems.power }}</p>
    <div class="three">
      <NumberField
        v-model="form.start"
        :label="t('heat.start')"
        :unit="`°${temperature}`"
        :error-messages="problems.start"
        density="compact"
        name="start" />
      <NumberField
        v-model="form.target"
        :label="t('heat.target')"
        :unit="`°${temperature}`"
        :error-messages="problems.target"
        density="compact"
        name="target" />
      <v-text-field v-model="form.by" type="time" :label="t('heat.by')" :error-messages="problems.by" density="compact" name="by" />
    </div>
    <p v-if="problems.page" class="ember" role="alert">{{ problems.page }}</p>
    <div v-if="preview && scale" role="status">
      <svg :viewBox="`0 -4 ${WIDE} ${HIGH + 24}`" role="img" :aria-label="t('heat.curve')">
        <rect
          x="0"
          :y="scale.y(preview.melts[1])"
          :width="WIDE"
          :height="scale.y(preview.melts[0]) - scale.y(preview.melts[1])"
          class="melts" />
        <line x1="0" :x2="WIDE" :y1="scale.y(preview.limit)" :y2="scale.y(preview.limit)" class="limit" />
        <text x="4" :y="scale.y(preview.limit) - 4" class="limit-text">{{ t('heat.limit') }}</text>
        <text :x="WIDE" :y="scale.y(preview.melts[0]) + 15" text-anchor="end">{{ t('heat.melts') }}</text>
        <path :d="scale.path" />
        <text :x="WIDE" :y="HIGH + 16" text-anchor="end">{{ scale.last }} {{ t('heat.minutes') }}</text>
        <line x1="0" :x2="WIDE" :y1="HIGH" :y2="HIGH" class="ground" />
      </svg>
      <p v-for="line in preview.lines" :key="line">{{ line }}</p>
      <p v-for="line in preview.warnings" :key="line" class="ember strong">{{ line }}</p>
    </div>
  </div>
</template>

<style scoped>
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px;
}
p {
  margin: 4px 0 0;
}
.strong {
  font-weight: 620;
}
svg {
  width: 100%;
  height: auto;
  margin-bottom: 6px;
}
path {
  fill: none;
  stroke: var(--amber);
  stroke-width: 3;
}
.melts {
  fill: var(--coat);
}
.limit {
  stroke: var(--ember);
  stroke-width: 2;
}
.limit-text {
  fill: var(--ember);
  font-weight: 620;
}
.ground {
  stroke: var(--steel-2);
}
text {
  font-size: 13px;
  fill: var(--steel);
}
@media (max-width: 500px) {
  .three {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
