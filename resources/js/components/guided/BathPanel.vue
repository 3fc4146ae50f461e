<script setup lang="ts">
import { ref } from 'vue'
import BathField from '@/components/guided/BathField.vue'
import LineChart from '@/components/charts/LineChart.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { ask } from '@/composables/usePreview'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'
import type { JobStateView, JobView } from '@/types/server'

/** How hot the bath is, over what was predicted; typed where no probe is in it. */
const props = defineProps<{ job: JobView; bath: NonNullable<JobStateView['bath']>; mayAct: boolean; asked: boolean }>()
const emit = defineEmits<{ typed: [celsius: string] }>()
const here = useHere()
const speed = ref('1')
const simulating = ref(false)
async function simulate(): Promise<void> {
  simulating.value = true
  await ask('post', `/jobs/${props.job.id}/probe`, { speed: speed.value })
}
</script>

<template>
  <section aria-labelledby="bath" :class="{ over: bath.over }">
    <h2 id="bath" class="sr">{{ t('job.bath') }}</h2>
    <p class="figure">
      <span v-if="bath.text" class="big" data-test="bath-now">{{ bath.text }}</span><span class="muted since">{{ bath.since }}</span>
    </p>
    <p class="muted small">{{ bath.expected }}</p>
    <p v-if="bath.over" class="alarm" role="alert" data-test="over">{{ bath.over }}</p>
    <LineChart :chart="bath.chart" />
    <BathField v-if="mayAct && !asked" :unit="job.units.temperature" @typed="(celsius) => emit('typed', celsius)" />
    <form v-if="mayAct && here.demo" class="typed" @submit.prevent="simulate">
      <v-select
        v-model="speed"
        density="compact"
        hide-details
        :items="['1', '10', '60'].map((value) => ({ value, title: t('bath.speed', { times: value }) }))"
        :label="t('bath.simulated')"
        data-test="probe-speed" />
      <PushButton type="submit" :disabled="simulating" data-test="simulate">{{ t('bath.simulate') }}</PushButton>
    </form>
  </section>
</template>

<style scoped>
.figure {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 12px;
  margin: 0;
}
.big {
  font-size: clamp(2.5rem, 4.6vw, 3.5rem);
  letter-spacing: -1px;
}
.over .big {
  color: var(--ember);
}
.since {
  font-weight: 560;
}
p {
  margin: 0 0 8px;
}
.alarm {
  background: var(--ember);
  color: var(--paper);
  font-weight: 680;
  padding: 10px 12px;
  border-radius: 3px;
}
.typed {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
  margin-top: 10px;
}
</style>
