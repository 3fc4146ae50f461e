<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import TextField from '@/components/forms/TextField.vue'
import { timeFrom, timeText } from '@/composables/dates'
import { useHere } from '@/composables/useHere'

/** A time of day as the workshop writes it. It sends 07:20; what is no time is sent as typed and refused there. */
const value = defineModel<string>({ required: true })
defineProps<{ label: string; name: string; errorMessages?: string; hint?: string; density?: 'compact' | 'default' }>()
const here = useHere()
const twelve = computed(() => here.value.calendar.twelveHours)
const text = ref(timeText(value.value, twelve.value))
watch(value, (time) => {
  if (timeFrom(text.value) !== time) text.value = timeText(time, twelve.value)
})
function typed(next: string): void {
  text.value = next
  value.value = next.trim() === '' ? '' : (timeFrom(next) ?? next)
}
</script>

<template>
  <TextField
    :model-value="text"
    :label="label"
    :name="name"
    :error-messages="errorMessages"
    :hint="hint"
    :persistent-hint="!!hint"
    :density="density"
    inputmode="text"
    autocomplete="off"
    @update:model-value="typed"
    @blur="text = timeText(value, twelve)" />
</template>
