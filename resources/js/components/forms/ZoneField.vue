<script setup lang="ts">
import { t } from '@/composables/useText'

/** A time zone, found by its city. */
const zone = defineModel<string>({ required: true })
const props = defineProps<{ zones: string[]; errorMessages?: string }>()
const items = props.zones.map((value) => {
  const [region, ...city] = value.split('/')
  return { value, title: city.length ? `${city.reverse().join(', ').replaceAll('_', ' ')} (${region})` : value }
})
// What is there is taken for chosen: whoever types next means another one.
const select = (event: Event) => event.target instanceof HTMLInputElement && event.target.select()
</script>

<template>
  <div @focusin="select">
    <v-autocomplete
      v-model="zone"
      :items="items"
      :label="t('people.zone')"
      :hint="t('people.zone_hint')"
      :error-messages="errorMessages"
      auto-select-first
      data-test="zone" />
  </div>
</template>
