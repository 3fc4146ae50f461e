<script setup lang="ts">
import { computed } from 'vue'
import ActionDialog from './ActionDialog.vue'
import ChangesPreview from './ChangesPreview.vue'
import DayAndTime from './DayAndTime.vue'
import TapChoice from './TapChoice.vue'
import NumberField from '@/components/forms/NumberField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { usePreview } from '@/composables/usePreview'
import { t } from '@/composables/useText'
import type { ChangedChain, FormDefaults, RideView } from '@/types/server'

/** The chain was changed at the roadside: after how far, when, and to which. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ forms: FormDefaults; ride: RideView }>()
const here = useHere()
const chains = computed(() =>
  (props.forms.bikes.find((bike) => bike.id === props.ride.bike)?.chains ?? []).filter((chain) => chain.id !== props.ride.chain?.id),
)
const { form, submit } = useActionForm({ distance: '', chain_id: '', date: props.ride.date, time: '' })
const url = `/rides/${props.ride.id}/split`
const { preview, problems } = usePreview<{ chains: ChangedChain[] }>(
  'post',
  () => url,
  () => (form.chain_id && form.distance && form.time ? { ...form.data(), preview: true } : null),
)
const errors = computed(() => ({ ...problems.value, ...form.errors }) as Record<string, string | undefined>)
const save = () => submit('post', url, () => (open.value = false))
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="t('split.title')"
    :verb="t('split.do')"
    :busy="form.processing"
    :errors="errors"
    :known="['distance', 'date', 'time']"
    :caution="t('swap.caution')"
    test="split-form"
    @submit="save">
    <p class="text">{{ ride.day }}{{ ride.time ? `, ${ride.time}` : '' }}, {{ ride.bikeName }}, {{ ride.km }}</p>
    <NumberField
      v-model="form.distance"
      :label="t('split.after')"
      :unit="here.distanceUnit"
      :error-messages="errors.distance"
      name="distance"
      autofocus />
    <TapChoice
      v-model="form.chain_id"
      :legend="t('split.to')"
      :options="chains.map((chain) => ({ value: String(chain.id), title: chain.label }))"
      test="split-to" />
    <DayAndTime v-model:date="form.date" v-model:time="form.time" :errors="errors" :time-label="t('split.at')" />
    <ChangesPreview :chains="preview?.chains ?? null" />
  </ActionDialog>
</template>

<style scoped>
.text {
  margin: 0;
  font-weight: 620;
}
</style>
