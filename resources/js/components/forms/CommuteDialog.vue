<script setup lang="ts">
import DateField from '@/components/forms/DateField.vue'
import TimeField from '@/components/forms/TimeField.vue'
import ActionDialog from './ActionDialog.vue'
import TapChoice from './TapChoice.vue'
import NumberField from '@/components/forms/NumberField.vue'
import TextField from '@/components/forms/TextField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'
import type { CommuteValues, FormDefaults } from '@/types/server'

/** The weekly commute of a bike, new or known. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{
  forms: FormDefaults
  bike: number
  weekdays: { value: number; title: string }[]
  commute: { id: number; values: CommuteValues } | null
}>()
const here = useHere()
const { form, submit } = useActionForm({
  bike_id: props.bike,
  ...(props.commute?.values ?? {
    weekdays: [1, 2, 3, 4, 5],
    time: '07:40',
    distance: '',
    hours: '',
    condition: 'dry',
    from: props.forms.date,
    until: '',
  }),
})
const save = () =>
  submit(props.commute ? 'put' : 'post', props.commute ? `/commutes/${props.commute.id}` : '/commutes', () => (open.value = false))
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="t('commute.title')"
    :verb="t('verbs.save')"
    :busy="form.processing"
    :errors="form.errors"
    :known="['distance', 'hours', 'time', 'from', 'until']"
    test="commute-form"
    @submit="save">
    <p class="muted small">{{ t('commute.hint') }}</p>
    <fieldset>
      <legend>{{ t('commute.days') }}</legend>
      <div class="days">
        <label
          v-for="day in weekdays"
          :key="day.value"
          :class="{ on: form.weekdays.includes(day.value) }"
          :data-test="`weekday-${day.value}`"
          ><input v-model="form.weekdays" type="checkbox" :value="day.value" />{{ day.title }}</label
        >
      </div>
    </fieldset>
    <div class="two">
      <NumberField
        v-model="form.distance"
        :label="t('commute.distance')"
        :unit="here.distanceUnit"
        :error-messages="form.errors.distance"
        name="distance" />
      <TextField
        v-model="form.hours"
        :label="t('ride.hours')"
        :hint="t('ride.hours_hint')"
        :error-messages="form.errors.hours"
        name="hours" />
    </div>
    <TapChoice v-model="form.condition" :legend="t('commute.condition')" :options="forms.conditions" test="condition" even />
    <div class="three">
      <TimeField v-model="form.time" :label="t('commute.time')" :error-messages="form.errors.time" name="time" />
      <DateField v-model="form.from" :label="t('commute.from')" :error-messages="form.errors.from" name="from" />
      <DateField v-model="form.until" :label="t('commute.until')" :error-messages="form.errors.until" name="until" />
    </div>
  </ActionDialog>
</template>

<style scoped>
p {
  margin: 0;
}
.days {
  display: grid;
  grid-template-columns: repeat(7, 1fr);
  gap: 4px;
}
label {
  border: 1.2px solid var(--ink);
  border-radius: 3px;
  min-height: 44px;
  display: grid;
  place-content: center;
  font-weight: 620;
  font-size: var(--type-2);
  position: relative;
  cursor: pointer;
}
label.on {
  background: var(--ink);
  color: var(--paper);
}
label:focus-within {
  outline: 2.5px solid var(--ink);
  outline-offset: 2px;
}
input {
  position: absolute;
  opacity: 0;
  inset: 0;
  cursor: pointer;
}
.three {
  display: grid;
  grid-template-columns: 0.8fr 1fr 1fr;
  gap: 8px;
}
@media (max-width: 52.49em) {
  .three {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
