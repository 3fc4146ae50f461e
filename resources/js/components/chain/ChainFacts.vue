<script setup lang="ts" generic="F extends KnownFacts">
import DateField from '@/components/forms/DateField.vue'
import NumberField from '@/components/forms/NumberField.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import TickBox from '@/components/forms/TickBox.vue'
import TextField from '@/components/forms/TextField.vue'
import { useHere } from '@/composables/useHere'
import { choicesOf, t } from '@/composables/useText'

/** What else is known of a chain; all of it may be left open. */
export interface KnownFacts {
  load: string | null
  joint: string
  directional: boolean
  mass: string
  price: string
  bought_on: string
  drip_interval: string
  event: string
  event_on: string
  dipped_after: string
}
const facts = defineModel<F>({ required: true })
defineProps<{
  errors: Record<string, string | undefined>
  units: { mass: string; currency: string }
  asksLoad?: boolean
  asksEvent?: boolean
}>()
const here = useHere()
const joints = choicesOf(['quick_link', 'pin'], (value) => `size.${value}`)
const loads = choicesOf(['greased', 'oiled', 'factory_waxed'], (value) => `new_chain.loads.${value}`)
</script>

<template>
  <div class="fields">
    <TapChoice v-model="facts.joint" :legend="t('new_chain.joint')" :options="joints" test="joint" />
    <TapChoice
      v-if="asksLoad"
      :model-value="facts.load ?? ''"
      :legend="t('new_chain.load')"
      :options="loads"
      test="load"
      @update:model-value="facts.load = $event" />
    <TickBox v-model="facts.directional" :label="t('new_chain.directional_yes')" data-test="directional" />
    <div class="three">
      <NumberField v-model="facts.mass" :label="t('new_chain.mass')" :unit="units.mass" :error-messages="errors.mass" name="mass" />
      <NumberField v-model="facts.price" :label="t('new_chain.price')" :unit="units.currency" :error-messages="errors.price" name="price" />
      <DateField v-model="facts.bought_on" :label="t('new_chain.bought_on')" :error-messages="errors.bought_on" name="bought_on" />
    </div>
    <NumberField
      v-model="facts.drip_interval"
      :label="t('new_chain.drip_interval')"
      :unit="here.distanceUnit"
      :hint="t('new_chain.drip_interval_hint')"
      persistent-hint
      :error-messages="errors.drip_interval"
      name="drip_interval" />
    <div v-if="asksEvent" class="three">
      <TextField
        v-model="facts.event"
        :label="t('new_chain.event')"
        :hint="t('new_chain.event_hint')"
        persistent-hint
        :error-messages="errors.event"
        name="event" />
      <DateField v-model="facts.event_on" :label="t('new_chain.event_on')" :error-messages="errors.event_on" name="event_on" />
      <DateField
        v-model="facts.dipped_after"
        :label="t('new_chain.dipped_after')"
        :error-messages="errors.dipped_after"
        name="dipped_after" />
    </div>
  </div>
</template>

<style scoped>
.three {
  display: grid;
  grid-template-columns: 1fr 1fr minmax(140px, 1fr);
  gap: 12px;
  align-items: start;
}
@media (max-width: 37.49em) {
  .three {
    grid-template-columns: 1fr 1fr;
  }
  .three > :last-child {
    grid-column: 1 / -1;
  }
}
</style>
