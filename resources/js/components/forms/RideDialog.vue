<script setup lang="ts">
import { computed, watch } from 'vue'
import ActionDialog from './ActionDialog.vue'
import TapChoice from './TapChoice.vue'
import DayAndTime from './DayAndTime.vue'
import NumberField from '@/components/forms/NumberField.vue'
import TickBox from '@/components/forms/TickBox.vue'
import TextField from '@/components/forms/TextField.vue'
import { formsNow } from '@/composables/nowHere'
import { useActionForm } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'
import type { FormDefaults, RideView } from '@/types/server'

/** A ride by hand, new or edited. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ forms: FormDefaults; bike: number | null; ride?: RideView | null }>()
const here = useHere()
const now = formsNow(props.forms)
const rideTime = (bike: number | null) => now.bikes.find((one) => one.id === bike)?.rideTime ?? now.time
const { form, submit } = useActionForm(
  {
    bike_id: props.ride ? props.ride.bike : (props.bike ?? props.forms.bikes[0]?.id ?? null),
    date: props.ride?.date ?? now.date,
    time: props.ride ? props.ride.clock : rideTime(props.bike),
    distance: props.ride?.distance ?? '',
    hours: props.ride?.hoursText ?? '',
    condition: props.ride?.condition ?? 'dry',
    loud: false,
  },
  props.ride ? undefined : 'ride',
)
// A chain that came on just now was not on an hour ago.
watch(
  () => form.bike_id,
  (bike) => !props.ride && (form.time = rideTime(bike)),
)
const bikes = computed(() => [
  ...props.forms.bikes.map((bike) => ({ value: bike.id as number | null, title: bike.chain ? `${bike.name} ${bike.chain}` : bike.name })),
  ...(props.forms.bikes.length > 1 || props.ride?.bike === null ? [{ value: null, title: t('ride.not_sure') }] : []),
])

const ridden = computed(() => props.forms.bikes.find((bike) => bike.id === form.bike_id))

const save = () => submit(props.ride ? 'put' : 'post', props.ride ? `/rides/${props.ride.id}` : '/rides', () => (open.value = false))
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="ride ? t('ride.edit') : t('ride.title')"
    :verb="ride ? t('ride.save') : t('ride.log')"
    :busy="form.processing"
    :errors="form.errors"
    :known="['bike_id', 'loud', 'date', 'time', 'distance', 'hours', 'condition']"
    :caution="['wet', 'muddy'].includes(form.condition) ? t('ride.wet_note') : undefined"
    test="ride-form"
    @submit="save">
    <v-select v-model="form.bike_id" :items="bikes" :label="t('ride.bike')" :error-messages="form.errors.bike_id" />
    <div class="two">
      <NumberField
        v-model="form.distance"
        :label="t('ride.distance')"
        :unit="here.distanceUnit"
        :hint="ridden?.pace"
        :error-messages="form.errors.distance"
        name="distance"
        autofocus />
      <TextField
        v-model="form.hours"
        :label="t('ride.hours')"
        :hint="ridden?.untimed || t('ride.hours_hint')"
        :error-messages="form.errors.hours"
        name="hours" />
    </div>
    <TapChoice v-model="form.condition" :legend="t('ride.condition')" :options="forms.conditions" test="condition" even />
    <DayAndTime
      v-model:date="form.date"
      v-model:time="form.time"
      :errors="form.errors"
      :time-label="t('ride.time')"
      :time-hint="t('ride.time_hint')" />
    <TickBox v-if="!ride" v-model="form.loud" :label="t('ride.loud')" :error-messages="form.errors.loud" />
  </ActionDialog>
</template>
