<script setup lang="ts">
import ActionDialog from '@/components/forms/ActionDialog.vue'
import DayAndTime from '@/components/forms/DayAndTime.vue'
import NumberField from '@/components/forms/NumberField.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import type { FormDefaults, PotInBooks } from '@/types/server'

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
      <NumberField
        v-model="made.diameter"
        :label="t('pot_form.diameter')"
        unit="mm"
        :error-messages="made.errors.diameter"
        name="diameter" />
      <NumberField v-model="made.height" :label="t('pot_form.height')" unit="mm" :error-messages="made.errors.height" name="height" />
    </div>
    <div class="two">
      <NumberField v-model="made.low" :label="t('pot_form.low')" unit="W" :error-messages="made.errors.low" name="low" />
      <NumberField v-model="made.high" :label="t('pot_form.high')" unit="W" :error-messages="made.errors.high" name="high" />
    </div>
    <TapChoice v-model="made.wax" :legend="t('pot_form.wax')" :options="choices.waxes" test="pot-wax" />
    <NumberField
      v-if="made.wax === 'softened'"
      v-model="made.flash"
      :label="t('pot_form.flash')"
      :unit="`°${units.temperature}`"
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
