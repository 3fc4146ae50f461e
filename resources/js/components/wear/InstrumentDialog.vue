<script setup lang="ts">
import ActionDialog from '@/components/forms/ActionDialog.vue'
import NumberField from '@/components/forms/NumberField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import TextField from '@/components/forms/TextField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { choicesOf, t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { KeptInstrument } from '@/types/server'

/** An instrument of one's own: its marks, its zero, how far it can be trusted. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ instrument: KeptInstrument | null }>()
const kinds = choicesOf(['ruler', 'drop_in', 'digital'], (value) => `measure.${value}`)
const one = props.instrument
const { form, submit } = useActionForm({
  name: one?.name ?? '',
  kind: (one?.kind ?? 'drop_in') as string,
  marks: one?.marks_text ?? '0.5 0.75',
  pitches: String(one?.pitches ?? 46),
  uncertainty: one?.uncertainty ?? '',
  zero: one?.zero ?? '0',
  gone: false,
})
const save = (gone: boolean) => {
  form.gone = gone
  submit(one ? 'put' : 'post', one ? `/instruments/${one.id}` : '/instruments', () => (open.value = false))
}
const remove = () => {
  open.value = false
  write('delete', `/instruments/${one?.id}`)
}
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="one ? `${t('gauge.edit')}: ${one.name}` : t('gauge.add')"
    :verb="t('gauge.keep')"
    :busy="form.processing"
    :errors="form.errors"
    :known="['name', 'marks', 'pitches', 'uncertainty', 'zero']"
    test="instrument-form"
    @submit="save(false)">
    <TapChoice v-if="!one" v-model="form.kind" :legend="t('gauge.kind')" :options="kinds" test="instrument-kind" />
    <TextField v-model="form.name" :label="t('gauge.name')" :error-messages="form.errors.name" name="name" />
    <TextField
      v-if="form.kind === 'drop_in'"
      v-model="form.marks"
      :label="t('gauge.marks')"
      :hint="t('gauge.marks_hint')"
      persistent-hint
      :error-messages="form.errors.marks"
      name="marks" />
    <div v-else class="two">
      <NumberField
        v-if="form.kind === 'ruler'"
        v-model="form.pitches"
        whole
        :label="t('gauge.pitches')"
        :error-messages="form.errors.pitches"
        name="pitches" />
      <NumberField v-else v-model="form.zero" :label="t('gauge.zero')" :error-messages="form.errors.zero" name="zero" />
      <NumberField
        v-model="form.uncertainty"
        :label="t(form.kind === 'ruler' ? 'gauge.uncertainty_mm' : 'gauge.uncertainty_pct')"
        :hint="t(form.kind === 'ruler' ? 'gauge.uncertainty_mm_hint' : 'gauge.uncertainty_pct_hint')"
        persistent-hint
        :error-messages="form.errors.uncertainty"
        name="uncertainty" />
    </div>
    <div v-if="one" class="row">
      <PushButton v-if="one.unused" data-test="remove-instrument" @click="remove">{{ t('gauge.remove') }}</PushButton>
      <PushButton v-else data-test="put-away" @click="save(true)">{{ t('gauge.put_away') }}</PushButton>
    </div>
  </ActionDialog>
</template>
