<script setup lang="ts">
import { watch } from 'vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import type { FormDefaults } from '@/types/props'
import ActionDialog from './ActionDialog.vue'
import DayAndTime from './DayAndTime.vue'

/** A plain reading with the rule, the drop-in gauge or a digital gauge. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ forms: FormDefaults; chain: { id: number; name: string } }>()
const MARKS = [0.5, 0.75, 1.0]
const SEATS = ['rests', 'part', 'enters'] as const
const { form, submit } = useActionForm({
  kind: 'ruler',
  pitches: 46 as number | string,
  length_mm: '',
  value_pct: '',
  zero_pct: '0',
  seats: {} as Record<string, string>,
  date: '',
  time: '',
})
form.transform((data) => ({
  ...data,
  results: Object.entries(data.seats)
    .filter(([, seat]) => seat !== '')
    .map(([mark, seat]) => ({ mark_pct: Number(mark), seat })),
}))

watch(
  open,
  (now) => {
    if (!now) return
    form.clearErrors()
    Object.assign(form, { length_mm: '', value_pct: '', seats: {}, date: props.forms.date, time: props.forms.time })
  },
  { immediate: true },
)
const save = () => submit('post', `/chains/${props.chain.id}/readings`, () => (open.value = false))
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="`${t('measure.title')}: ${chain.name}`"
    :verb="t('measure.do')"
    :busy="form.processing"
    :errors="form.errors"
    :known="['date', 'time', 'pitches', 'length_mm', 'value_pct', 'zero_pct']"
    test="measure-form"
    @submit="save">
    <fieldset>
      <legend>{{ t('measure.with') }}</legend>
      <div class="kinds">
        <label v-for="kind in ['ruler', 'drop_in', 'digital']" :key="kind" :class="{ on: form.kind === kind }" :data-test="`kind-${kind}`"
          ><input v-model="form.kind" type="radio" name="kind" :value="kind" />{{ t(`measure.${kind}`) }}</label
        >
      </div>
    </fieldset>
    <div v-if="form.kind === 'ruler'" class="two">
      <v-text-field
        v-model="form.pitches"
        inputmode="numeric"
        :label="t('measure.pitches')"
        :hint="t('measure.ruler_hint')"
        persistent-hint
        :error-messages="form.errors.pitches"
        name="pitches" />
      <v-text-field
        v-model="form.length_mm"
        inputmode="decimal"
        :label="t('measure.length')"
        :error-messages="form.errors.length_mm"
        name="length_mm" />
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
      <fieldset v-for="mark in MARKS" :key="mark">
        <legend>{{ t('measure.mark') }} {{ mark }} %</legend>
        <div class="kinds">
          <label v-for="seat in SEATS" :key="seat" :class="{ on: form.seats[mark] === seat }" :data-test="`seat-${mark}-${seat}`"
            ><input v-model="form.seats[mark]" type="radio" :name="`seat-${mark}`" :value="seat" />{{ t(`measure.${seat}`) }}</label
          >
          <label :class="{ on: !form.seats[mark] }"
            ><input v-model="form.seats[mark]" type="radio" :name="`seat-${mark}`" value="" />{{ t('measure.not_tried') }}</label
          >
        </div>
      </fieldset>
    </div>
    <p class="muted small note">{{ t('measure.worst') }}</p>
    <DayAndTime v-model:date="form.date" v-model:time="form.time" :errors="form.errors" />
  </ActionDialog>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
}
legend {
  font-size: 12.5px;
  color: var(--steel);
  margin-bottom: 4px;
}
.kinds {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.kinds label {
  border: 1.2px solid var(--ink);
  border-radius: 3px;
  padding: 6px 12px;
  font-weight: 620;
  font-size: 13px;
  cursor: pointer;
  position: relative;
}
.kinds label.on {
  background: var(--ink);
  color: var(--paper);
}
.kinds label:focus-within {
  outline: 2.5px solid var(--ink);
  outline-offset: 2px;
}
.kinds input {
  position: absolute;
  opacity: 0;
  inset: 0;
  width: 100%;
  height: 100%;
  margin: 0;
  cursor: pointer;
}
.marks {
  display: grid;
  gap: 10px;
}
.note {
  margin: 0;
}
</style>
