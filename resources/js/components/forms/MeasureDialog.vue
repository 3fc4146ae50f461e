<script setup lang="ts">
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import type { FormDefaults } from '@/types/props'
import ActionDialog from './ActionDialog.vue'
import DayAndTime from './DayAndTime.vue'
import TapChoice from './TapChoice.vue'

/** A plain reading with the rule, the drop-in gauge or a digital gauge. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ forms: FormDefaults; chain: { id: number; name: string } }>()
const MARKS = [0.5, 0.75, 1.0]
const kinds = ['ruler', 'drop_in', 'digital'].map((value) => ({ value, title: t(`measure.${value}`) }))
const seats = [
  ...['rests', 'part', 'enters'].map((value) => ({ value, title: t(`measure.${value}`) })),
  { value: '', title: t('measure.not_tried') },
]
const { form, submit } = useActionForm({
  kind: 'ruler',
  pitches: 46 as number | string,
  length_mm: '',
  value_pct: '',
  zero_pct: '0',
  seats: {} as Record<string, string>,
  sure: false,
  date: props.forms.date,
  time: props.forms.time,
})
form.transform((data) => ({
  ...data,
  results: Object.entries(data.seats)
    .filter(([, seat]) => seat !== '')
    .map(([mark, seat]) => ({ mark_pct: Number(mark), seat })),
}))

const save = () => submit('post', `/chains/${props.chain.id}/readings`, () => (open.value = false))
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="`${t('measure.title')}: ${chain.name}`"
    :verb="t('measure.do')"
    :busy="form.processing"
    :errors="form.errors"
    :known="['date', 'time', 'pitches', 'length_mm', 'value_pct', 'zero_pct', 'sure']"
    test="measure-form"
    @submit="save">
    <TapChoice v-model="form.kind" :legend="t('measure.with')" :options="kinds" test="kind" />
    <div v-if="form.kind === 'ruler'" class="two">
      <v-text-field
        v-model="form.pitches"
        inputmode="numeric"
        :label="t('measure.pitches')"
        :hint="t('measure.ruler_hint')"
        persistent-hint
        :error-messages="form.errors.pitches"
        name="pitches" />
      <v-text-field v-model="form.length_mm" :label="t('measure.length')" :error-messages="form.errors.length_mm" name="length_mm" />
    </div>
    <div v-else-if="form.kind === 'digital'" class="two">
      <v-text-field
        v-model="form.value_pct"
        inputmode="decimal"
        :label="t('measure.value')"
        :error-messages="form.errors.value_pct"
        name="value_pct" />
      <v-text-field
        v-model="form.zero_pct"
        inputmode="decimal"
        :label="t('measure.zero')"
        :error-messages="form.errors.zero_pct"
        name="zero_pct" />
    </div>
    <div v-else class="marks">
      <TapChoice
        v-for="mark in MARKS"
        :key="mark"
        :model-value="form.seats[mark] ?? ''"
        :legend="`${t('measure.mark')} ${mark} %`"
        :options="seats"
        :test="`seat-${mark}`"
        @update:model-value="form.seats[mark] = $event" />
    </div>
    <p class="muted small note">{{ t('measure.worst') }}</p>
    <DayAndTime v-model:date="form.date" v-model:time="form.time" :errors="form.errors" />
    <v-checkbox
      v-if="form.errors.sure || form.sure"
      v-model="form.sure"
      :label="t('measure.sure')"
      :error-messages="form.errors.sure"
      data-test="sure" />
  </ActionDialog>
</template>

<style scoped>
.marks {
  display: grid;
  gap: 10px;
}
.note {
  margin: 0;
}
</style>
