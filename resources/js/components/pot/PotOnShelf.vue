<script setup lang="ts">
import { ref } from 'vue'
import CalibratePanel from './CalibratePanel.vue'
import HeatPanel from './HeatPanel.vue'
import PotDrawing from './PotDrawing.vue'
import ConnectDevice from '@/components/devices/ConnectDevice.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'
import type { PotOnShelf } from '@/types/server'

defineProps<{ pot: PotOnShelf; mayWrite: boolean; temperature: string }>()
type Panel = 'heat' | 'calibrate' | 'probe'
const open = ref<Panel | null>(null)
const toggle = (panel: Panel) => (open.value = open.value === panel ? null : panel)
const emit = defineEmits<{ tend: []; change: []; discard: [] }>()
</script>

<template>
  <article class="standing" :aria-labelledby="`pot-${pot.id}`" :data-test="`book-${pot.name}`">
    <PotDrawing :level="pot.level" :coil="pot.coil" :grit="pot.gritShare" :empty="pot.empty" />
    <div>
      <h3 :id="`pot-${pot.id}`" class="wide">{{ pot.name }}</h3>
      <p class="muted small">
        {{ pot.about }}<template v-if="pot.since">, {{ pot.since }}</template>
      </p>
      <p class="holds" :class="{ ember: pot.problem }">{{ pot.holds }}</p>
      <template v-if="!pot.empty">
        <p>{{ pot.left }}</p>
        <p class="muted small">{{ [pot.grit, pot.max, pot.oil].filter(Boolean).join('; ') }}</p>
        <p v-if="pot.cost" class="small" data-test="cost">{{ pot.cost }}</p>
        <p v-if="pot.smear" class="small" data-test="smear">{{ pot.smear }}</p>
        <p v-if="pot.next" class="strong" :class="{ ember: pot.late }">{{ pot.next }}</p>
      </template>
      <p class="small">{{ pot.caution }}</p>
      <PushButton
        v-if="mayWrite"
        class="tend"
        :data-test="`tend-${pot.name}`"
        :aria-label="`${t('pot_form.tend')}: ${pot.name}`"
        @click="emit('tend')"
        >{{ t('pot_form.tend') }}</PushButton
      >
      <p v-if="mayWrite" class="panels">
        <button type="button" class="as-link" :data-test="`change-${pot.name}`" @click="emit('change')">{{ t('pot_form.edit') }}</button>
        <button v-if="pot.unused" type="button" class="as-link" :data-test="`discard-${pot.name}`" @click="emit('discard')">
          {{ t('pot_form.discard') }}
        </button>
        <button
          v-for="panel in pot.empty ? (['probe'] as const) : (['heat', 'calibrate', 'probe'] as const)"
          :key="panel"
          type="button"
          class="as-link"
          :aria-expanded="open === panel"
          :data-test="`${panel}-${pot.name}`"
          @click="toggle(panel)">
          {{ t(`${panel}.title`) }}
        </button>
      </p>
    </div>
    <HeatPanel v-if="open === 'heat'" class="whole" :pot="pot.id" :temperature="temperature" />
    <CalibratePanel v-if="open === 'calibrate'" class="whole" :pot="pot" :temperature="temperature" />
    <ConnectDevice
      v-if="open === 'probe'"
      class="whole panel"
      :devices="pot.probes"
      :url="`/pots/${pot.id}/devices`"
      :name-label="t('probe.name')"
      :verb="t('probe.connect')"
      example='{"readings": [{"sequence": 1, "at": "2026-11-25T10:00:00Z", "celsius": 84.2}]}'
      reload="pots"
      test="probe" />
  </article>
</template>

<style scoped>
.standing {
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr);
  gap: 16px;
  padding: 14px 0;
  border-top: 1px solid var(--line);
}
h3 {
  font-size: var(--type-4);
  margin: 0;
}
p {
  margin: 0;
}
.holds,
.strong {
  font-weight: 680;
}
.panels {
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
}
.whole {
  grid-column: 1 / -1;
}
.tend {
  margin: 8px 0 4px;
}
</style>
