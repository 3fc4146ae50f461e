<script setup lang="ts">
import ActionDialog from '@/components/forms/ActionDialog.vue'
import DayAndTime from '@/components/forms/DayAndTime.vue'
import NumberField from '@/components/forms/NumberField.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import type { FormDefaults, PotOnShelf } from '@/types/server'

/** What is done with the wax in a pot. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ pot: PotOnShelf; units: { mass: string; temperature: string }; forms: FormDefaults }>()
const { form: act, submit: tend } = useActionForm({
  act: props.pot.acts[0]?.value ?? 'fill',
  wax: '',
  oil: '',
  removed: '',
  temp: '',
  date: props.forms.date,
  time: props.forms.time,
})
const close = () => (open.value = false)
const weighs = () => ['fill', 'top_up', 'remove'].includes(act.act)
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="`${t('pot_form.tend')}: ${pot.name}`"
    :verb="t('pot_form.do')"
    :busy="act.processing"
    :errors="act.errors"
    :known="['wax', 'oil', 'removed', 'temp', 'date', 'time']"
    :caution="t('pot_form.safety')"
    test="pot-form"
    @submit="tend('post', `/pots/${pot.id}/bath`, close)">
    <TapChoice v-model="act.act" :legend="pot.holds" :options="pot.acts" test="bath" />
    <div v-if="weighs()" class="two">
      <NumberField v-model="act.wax" :label="t('pot_form.mass')" :unit="units.mass" :error-messages="act.errors.wax" name="wax" />
      <NumberField
        v-if="act.act !== 'remove'"
        v-model="act.oil"
        :label="t('pot_form.oil')"
        :unit="units.mass"
        :error-messages="act.errors.oil"
        name="oil" />
    </div>
    <NumberField
      v-else-if="act.act === 'filter'"
      v-model="act.removed"
      :label="t('pot_form.removed')"
      :hint="t('pot_form.removed_hint')"
      persistent-hint
      :error-messages="act.errors.removed"
      name="removed" />
    <NumberField
      v-else
      v-model="act.temp"
      :label="t('pot_form.temp')"
      :unit="`°${units.temperature}`"
      :error-messages="act.errors.temp"
      name="temp" />
    <DayAndTime v-model:date="act.date" v-model:time="act.time" :errors="act.errors" />
  </ActionDialog>
</template>
