<script setup lang="ts">
import { computed } from 'vue'
import DateField from '@/components/forms/DateField.vue'
import ActionDialog from './ActionDialog.vue'
import TapChoice from './TapChoice.vue'
import NumberField from '@/components/forms/NumberField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { usePreview } from '@/composables/usePreview'
import { choicesOf, t } from '@/composables/useText'
import type { FormDefaults } from '@/types/server'

/** "240 km since Monday", or what the odometer shows: one estimate for days that nobody logged one by one. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{
  forms: FormDefaults
  bike: number
  estimate?: { id: number; values: { distance: string; from: string; to: string; condition: string } } | null
}>()
const here = useHere()
const bike = computed(() => props.forms.bikes.find((other) => other.id === props.bike))
const { form, submit } = useActionForm({
  by: 'distance',
  distance: '',
  odometer: '',
  from: props.forms.date,
  to: props.forms.date,
  condition: 'dry',
  ...props.estimate?.values,
})
const ways = choicesOf(['distance', 'odometer'], (value) => `catch_up.by_${value}`)
const { preview, problems } = usePreview<{ text: string }>(
  'post',
  () => `/bikes/${props.bike}/estimates/spread`,
  () => (!props.estimate && (form.by === 'distance' ? form.distance : form.odometer) ? form.data() : null),
)
const errors = computed(() => ({ ...problems.value, ...form.errors }) as Record<string, string | undefined>)
const save = () =>
  submit(
    props.estimate ? 'put' : 'post',
    props.estimate ? `/estimates/${props.estimate.id}` : `/bikes/${props.bike}/estimates`,
    () => (open.value = false),
  )
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="`${t(estimate ? 'catch_up.change' : 'catch_up.title')}: ${bike?.name ?? ''}`"
    :verb="t(estimate ? 'verbs.save' : 'catch_up.do')"
    :busy="form.processing"
    :errors="errors"
    :known="['distance', 'odometer', 'from', 'to']"
    test="catch-up-form"
    @submit="save">
    <TapChoice v-if="!estimate" v-model="form.by" :legend="t('catch_up.by')" :options="ways" test="by" />
    <template v-if="form.by === 'distance'">
      <NumberField
        v-model="form.distance"
        :label="t('ride.distance')"
        :unit="here.distanceUnit"
        :error-messages="errors.distance"
        name="distance"
        autofocus />
      <div class="two">
        <DateField v-model="form.from" :label="t('catch_up.from')" :error-messages="errors.from" name="from" />
        <DateField v-model="form.to" :label="t('catch_up.to')" :error-messages="errors.to" name="to" />
      </div>
    </template>
    <NumberField
      v-else
      v-model="form.odometer"
      :label="t('catch_up.odometer')"
      :unit="here.distanceUnit"
      :error-messages="errors.odometer"
      name="odometer" />
    <TapChoice v-model="form.condition" :legend="t('ride.condition')" :options="forms.conditions" test="condition" even />
    <p v-if="preview" class="worked-out" role="status" data-test="worked-out">{{ preview.text }}</p>
    <p class="muted small">{{ t('catch_up.hint') }}</p>
  </ActionDialog>
</template>

<style scoped>
p {
  margin: 0;
}
.worked-out {
  font-weight: 620;
}
</style>
