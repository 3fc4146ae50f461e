<script setup lang="ts">
import { reactive } from 'vue'
import TimeField from '@/components/forms/TimeField.vue'
import LineChart from '@/components/charts/LineChart.vue'
import NumberField from '@/components/forms/NumberField.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import { newActionId } from '@/composables/useActionForm'
import { usePreview } from '@/composables/usePreview'
import { choicesOf, t } from '@/composables/useText'
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
const powers = choicesOf(['low', 'high'], (value) => `heat.${value}`)
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
      <TimeField v-model="form.by" :label="t('heat.by')" :error-messages="problems.by" density="compact" name="by" />
    </div>
    <p v-if="problems.page" class="ember" role="alert">{{ problems.page }}</p>
    <div v-if="preview" role="status">
      <LineChart :chart="preview.chart" />
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
</style>
