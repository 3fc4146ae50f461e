<script setup lang="ts">
import { computed } from 'vue'
import DateField from '@/components/forms/DateField.vue'
import ActionDialog from '@/components/forms/ActionDialog.vue'
import NumberField from '@/components/forms/NumberField.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import TextField from '@/components/forms/TextField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'
import type { FormDefaults } from '@/types/server'

/** A ride that is meant, or days on which nothing is ridden. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ forms: FormDefaults; holiday: boolean }>()
const here = useHere()
const { form, submit } = useActionForm({
  bike_id: props.holiday ? null : (props.forms.bikes[0]?.id ?? null),
  holiday: props.holiday,
  from: props.forms.date,
  until: '',
  distance: '',
  condition: '',
  name: '',
})
const bikes = computed(() => [
  ...(props.holiday ? [{ value: null as number | null, title: t('ahead.all_bikes') }] : []),
  ...props.forms.bikes.map((bike) => ({ value: bike.id as number | null, title: bike.name })),
])
const roads = computed(() => [{ value: '', title: t('ahead.any_road') }, ...props.forms.conditions])
const save = () => submit('post', '/ahead/rides', () => (open.value = false))
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="t(holiday ? 'ahead.holiday' : 'ahead.ride')"
    :verb="t(holiday ? 'ahead.add_holiday' : 'ahead.add_ride')"
    :busy="form.processing"
    :errors="form.errors"
    :known="['bike_id', 'from', 'until', 'distance', 'condition', 'name']"
    test="planned-form"
    @submit="save">
    <v-select
      v-model="form.bike_id"
      :items="bikes"
      :label="t('ride.bike')"
      :error-messages="form.errors.bike_id"
      data-test="planned-bike" />
    <div class="two">
      <DateField v-model="form.from" :label="t('ahead.from')" :error-messages="form.errors.from" name="from" />
      <DateField v-if="holiday" v-model="form.until" :label="t('ahead.until')" :error-messages="form.errors.until" name="until" />
      <NumberField
        v-else
        v-model="form.distance"
        :label="t('ride.distance')"
        :unit="here.distanceUnit"
        :error-messages="form.errors.distance"
        name="distance" />
    </div>
    <template v-if="!holiday">
      <TapChoice v-model="form.condition" :legend="t('ride.condition')" :options="roads" test="road" />
      <TextField v-model="form.name" :label="t('ahead.name')" :error-messages="form.errors.name" name="name" />
    </template>
  </ActionDialog>
</template>
