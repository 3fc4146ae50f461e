<script setup lang="ts">
import PhoneFold from '@/components/layout/PhoneFold.vue'
import { t } from '@/composables/useText'
import type { Choice, PotDayChain } from '@/types/server'

/** A chain that could go in, and how. */
defineProps<{ chain: PotDayChain; rinses: Choice[] }>()
const taken = defineModel<number[]>('taken', { required: true })
const first = defineModel<boolean>('first', { required: true })
const rinse = defineModel<string>('rinse', { required: true })
const powder = defineModel<number[]>('powder', { required: true })
const soaks = [
  { value: true, title: t('pot_day.first') },
  { value: false, title: t('pot_day.rewax') },
]
</script>

<template>
  <div class="chain">
    <label :data-test="`take-${chain.name}`">
      <input v-model="taken" type="checkbox" :value="chain.id" /><b>{{ chain.name }}</b
      ><span class="muted"
        >{{ chain.word }}<template v-if="chain.detail">, {{ chain.detail }}</template></span
      >
    </label>
    <PhoneFold v-if="taken.includes(chain.id)" :title="t('pot_day.how')">
      <div class="how">
        <v-select
          v-model="first"
          :items="soaks"
          density="compact"
          hide-details
          :aria-label="`${chain.name}: ${t('pot_day.first')}`"
          :data-test="`soak-${chain.name}`" />
        <v-select
          v-if="chain.waxed"
          v-model="rinse"
          :items="rinses"
          density="compact"
          hide-details
          :aria-label="`${chain.name}: ${t('pot_day.before')}`"
          :data-test="`rinse-${chain.name}`" />
        <label class="small"><input v-model="powder" type="checkbox" :value="chain.id" />{{ t('pot_day.powder') }}</label>
        <p v-if="chain.onBike" class="small on-bike">{{ t('pot_day.on_bike') }}</p>
      </div>
    </PhoneFold>
  </div>
</template>

<style scoped>
.chain {
  border-bottom: 1px solid var(--line);
  padding: 2px 0;
}
.chain > label {
  display: grid;
  grid-template-columns: auto auto minmax(0, 1fr);
  gap: 10px;
  align-items: center;
  min-height: 44px;
  cursor: pointer;
}
input {
  width: 20px;
  height: 20px;
  accent-color: var(--ink);
}
.how {
  display: grid;
  grid-template-columns: 126px 186px minmax(0, 1fr);
  gap: 6px 12px;
  align-items: center;
  padding: 0 0 6px 30px;
}
.how label {
  grid-column: 3;
  display: flex;
  gap: 8px;
  align-items: center;
}
.on-bike {
  grid-column: 1 / -1;
  margin: 0;
  font-weight: 620;
}
@media (max-width: 52.49em) {
  /* The line below is the chain's. */
  .chain :deep(.phone-fold) {
    border: 0;
  }
  .how {
    grid-template-columns: 1fr 1fr;
    padding-left: 0;
  }
  .how label {
    grid-column: auto;
    min-height: 44px;
  }
}
</style>
