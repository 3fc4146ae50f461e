<script setup lang="ts">
import ActionDialog from '@/components/forms/ActionDialog.vue'
import DayAndTime from '@/components/forms/DayAndTime.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import type { PotInBooks } from '@/types/pots'
import type { FormDefaults } from '@/types/props'

/** A new pot, or what is done with the wax in one. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{
  pot: PotInBooks | null
  choices: { kinds: { value: string; title: string }[]; waxes: { value: string; title: string }[] }
  units: { mass: string; temperature: string }
  forms: FormDefaults
}>()
const { form: made, submit: make } = useActionForm({
  name: '',
  kind: 'slow_cooker',
  diameter: '',
  height: '',
  low: '',
  high: '',
  wax: 'plain',
  flash: '',
})
const { form: act, submit: tend } = useActionForm({
  act: props.pot?.acts[0]?.value ?? 'fill',
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
    v-if="pot === null"
    v-model="open"
    :title="t('pot_form.add')"
    :verb="t('pot_form.add')"
    :busy="made.processing"
    :errors="made.errors"
    :known="['name', 'kind', 'diameter', 'height', 'low', 'high', 'wax', 'flash']"
    :caution="t('pot_form.safety')"
    test="pot-form"
    @submit="make('post', '/pots', close)">
    <v-text-field v-model="made.name" :label="t('pot_form.name')" :error-messages="made.errors.name" name="name" />
    <div>
      <TapChoice v-model="made.kind" :legend="t('pot_form.kind')" :options="choices.kinds" test="pot-kind" />
      <p v-if="made.errors.kind" class="ember" role="alert">{{ made.errors.kind }}</p>
    </div>
    <div class="two">
      <v-text-field
        v-model="made.diameter"
        inputmode="decimal"
        :label="t('pot_form.diameter')"
        suffix="mm"
        :error-messages="made.errors.diameter"
        name="diameter" />
      <v-text-field
        v-model="made.height"
        inputmode="decimal"
        :label="t('pot_form.height')"
        suffix="mm"
        :error-messages="made.errors.height"
        name="height" />
    </div>
    <div class="two">
      <v-text-field
        v-model="made.low"
        inputmode="decimal"
        :label="t('pot_form.low')"
        suffix="W"
        :error-messages="made.errors.low"
        name="low" />
      <v-text-field
        v-model="made.high"
        inputmode="decimal"
        :label="t('pot_form.high')"
        suffix="W"
        :error-messages="made.errors.high"
        name="high" />
    </div>
    <TapChoice v-model="made.wax" :legend="t('pot_form.wax')" :options="choices.waxes" test="pot-wax" />
    <v-text-field
      v-if="made.wax === 'softened'"
      v-model="made.flash"
      inputmode="decimal"
      :label="t('pot_form.flash')"
      :suffix="`°${units.temperature}`"
      :error-messages="made.errors.flash"
      name="flash" />
  </ActionDialog>
  <ActionDialog
    v-else
    v-model="open"
    :title="`${t('books.tend')}: ${pot.name}`"
    :verb="t('books.do')"
    :busy="act.processing"
    :errors="act.errors"
    :known="['wax', 'oil', 'removed', 'temp', 'date', 'time']"
    :caution="t('pot_form.safety')"
    test="pot-form"
    @submit="tend('post', `/pots/${pot.id}/bath`, close)">
    <TapChoice v-model="act.act" :legend="pot.holds" :options="pot.acts" test="bath" />
    <div v-if="weighs()" class="two">
      <v-text-field
        v-model="act.wax"
        inputmode="decimal"
        :label="t('pot_form.mass')"
        :suffix="units.mass"
        :error-messages="act.errors.wax"
        name="wax" />
      <v-text-field
        v-if="act.act !== 'remove'"
        v-model="act.oil"
        inputmode="decimal"
        :label="t('pot_form.oil')"
        :suffix="units.mass"
        :error-messages="act.errors.oil"
        name="oil" />
    </div>
    <v-text-field
      v-else-if="act.act === 'filter'"
      v-model="act.removed"
      inputmode="decimal"
      :label="t('pot_form.removed')"
      :hint="t('pot_form.removed_hint')"
      persistent-hint
      :error-messages="act.errors.removed"
      name="removed" />
    <v-text-field
      v-else
      v-model="act.temp"
      inputmode="decimal"
      :label="t('pot_form.temp')"
      :suffix="`°${units.temperature}`"
      :error-messages="act.errors.temp"
      name="temp" />
    <DayAndTime v-model:date="act.date" v-model:time="act.time" :errors="act.errors" />
  </ActionDialog>
</template>
