<script setup lang="ts">
import { computed, ref, useId, watch } from 'vue'
import TextField from '@/components/forms/TextField.vue'
import { t } from '@/composables/useText'

/** A time zone, found by its city. It sends Europe/Amsterdam; what is in no list is sent as typed and refused there. */
const zone = defineModel<string>({ required: true })
const props = defineProps<{ zones: string[]; errorMessages?: string }>()
const id = useId()
function titleOf(value: string): string {
  const [region, ...city] = value.split('/')
  return city.length ? `${city.reverse().join(', ').replaceAll('_', ' ')} (${region})` : value
}
// There are four hundred: they are listed once somebody is in the field.
const wanted = ref(false)
const titles = computed(() => (wanted.value ? props.zones.map((value) => ({ value, title: titleOf(value) })) : []))
const text = ref(titleOf(zone.value))
const tidy = () => (text.value = titleOf(zone.value))
watch(zone, (value) => find(text.value) !== value && tidy())
/** The beginning of a city is enough, or any part of its name. */
function find(asked: string): string | undefined {
  const words = asked.trim().toLowerCase()
  const first = (fits: (title: string) => boolean) => props.zones.find((value) => fits(titleOf(value).toLowerCase()))
  return words === '' ? undefined : (first((title) => title.startsWith(words)) ?? first((title) => title.includes(words)))
}
function typed(next: string): void {
  text.value = next
  zone.value = find(next) ?? next.trim()
}
function enter(event: Event): void {
  wanted.value = true
  // What is there is taken for chosen: whoever types next means another one.
  if (event.target instanceof HTMLInputElement) event.target.select()
}
</script>

<template>
  <div @focusin="enter">
    <TextField
      :model-value="text"
      :label="t('people.zone')"
      :hint="t('people.zone_hint')"
      :error-messages="errorMessages"
      :list="id"
      autocomplete="off"
      name="time_zone"
      data-test="zone"
      @update:model-value="typed"
      @blur="tidy" />
    <datalist :id="id"><option v-for="one in titles" :key="one.value" :value="one.title" /></datalist>
  </div>
</template>
