<script setup lang="ts">
import { useActionForm } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'
import type { FormDefaults } from '@/types/props'
import ActionDialog from './ActionDialog.vue'
import DayAndTime from './DayAndTime.vue'

const open = defineModel<boolean>({ required: true })
const props = defineProps<{ forms: FormDefaults; chain: { id: number; name: string } }>()
const here = useHere()
const { form, submit } = useActionForm({ distance: props.forms.topUp, date: props.forms.date, time: props.forms.time })

const save = () => submit('post', `/chains/${props.chain.id}/topups`, () => (open.value = false))
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="`${t('topup.title')}: ${chain.name}`"
    :verb="t('topup.do')"
    :busy="form.processing"
    :errors="form.errors"
    :known="['date', 'time', 'distance']"
    :caution="t('topup.hint')"
    test="topup-form"
    @submit="save">
    <v-text-field
      v-model="form.distance"
      inputmode="decimal"
      :label="t('topup.km')"
      :suffix="here.distanceUnit"
      :error-messages="form.errors.distance"
      name="distance" />
    <DayAndTime v-model:date="form.date" v-model:time="form.time" :errors="form.errors" />
  </ActionDialog>
</template>
