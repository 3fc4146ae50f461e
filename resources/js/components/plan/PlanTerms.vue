<script setup lang="ts">
import NumberField from '@/components/forms/NumberField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import { useActionForm } from '@/composables/useActionForm'
import { choicesOf, t } from '@/composables/useText'
import { computed } from 'vue'
import type { LearnedMinutesView, PlanTermsView } from '@/types/server'

/** On which days the pot may be heated, and what everything takes. */
const props = defineProps<{ terms: PlanTermsView; weekdays: { value: number; title: string }[]; learned?: LearnedMinutesView | null }>()
const { form, submit } = useActionForm({
  ...props.terms,
  weekdays: [...props.terms.weekdays],
  pots: props.terms.pots.map((pot) => ({ ...pot })),
})
const times = choicesOf(['evening', 'morning'], (value) => `ahead.${value}`)
const minutes = ['fixed', 'dip', 'batch', 'swap', 'topup', 'strip'] as const
const taught = ['fixed', 'dip', 'batch', 'swap', 'strip'] as const
const taken = computed(() => props.learned && taught.every((one) => form[one] === props.learned?.[one]))
function take(): void {
  for (const one of taught) form[one] = props.learned?.[one] ?? form[one]
}
const save = () => submit('put', '/ahead/terms')
</script>

<template>
  <form class="fields" novalidate @submit.prevent="save">
    <h2>{{ t('ahead.terms') }}</h2>
    <fieldset>
      <legend>{{ t('ahead.weekdays') }}</legend>
      <div class="days">
        <label
          v-for="day in weekdays"
          :key="day.value"
          :class="{ on: form.weekdays.includes(day.value) }"
          :data-test="`weekday-${day.value}`">
          <input v-model="form.weekdays" type="checkbox" :value="day.value" />{{ day.title }}
        </label>
      </div>
    </fieldset>
    <TapChoice v-model="form.pot_time" :legend="t('ahead.pot_time')" :options="times" test="pot-time" />
    <div class="five">
      <NumberField
        v-for="field in minutes"
        :key="field"
        v-model="form[field]"
        :label="t(`ahead.${field}`)"
        unit="min"
        :hint="field === 'topup' ? t('ahead.topup_hint') : undefined"
        persistent-hint
        :error-messages="form.errors[field]"
        :name="field" />
      <NumberField
        v-model="form.margin"
        :label="t('ahead.margin')"
        unit="%"
        :hint="t('ahead.margin_hint')"
        persistent-hint
        :error-messages="form.errors.margin"
        name="margin" />
      <NumberField
        v-model="form.hours"
        :label="t('ahead.hours')"
        unit="h"
        :hint="t('ahead.hours_hint')"
        persistent-hint
        :error-messages="form.errors.hours"
        name="hours" />
      <NumberField
        v-for="(pot, i) in form.pots"
        :key="pot.pot_id"
        v-model="pot.at_once"
        :label="t('ahead.at_once', { pot: pot.name })"
        :unit="t('ahead.at_once_unit')"
        :hint="t('ahead.at_once_hint')"
        persistent-hint
        :error-messages="(form.errors as Record<string, string>)[`pots.${i}.at_once`]"
        :name="`at-once-${pot.name}`" />
    </div>
    <div v-if="learned" class="learned" data-test="learned-minutes">
      <h3>{{ t('ahead.learned') }}</h3>
      <p v-for="text in learned.texts" :key="text">{{ text }}</p>
      <p v-if="taken" role="status">{{ t('ahead.learned_taken') }}</p>
      <PushButton v-else data-test="take-learned" @click="take">{{ t('ahead.learned_take') }}</PushButton>
    </div>
    <div class="row">
      <PushButton type="submit" :loading="form.processing" data-test="save-terms">{{ t('ahead.save') }}</PushButton>
    </div>
  </form>
</template>

<style scoped>
.days {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.days label {
  border: 1.2px solid var(--ink);
  border-radius: 3px;
  padding: 7px 12px;
  font-weight: 620;
  font-size: var(--type-2);
  cursor: pointer;
  position: relative;
}
.days label.on {
  background: var(--ink);
  color: var(--paper);
}
.days label:focus-within {
  outline: 2.5px solid var(--ink);
  outline-offset: 2px;
}
.days input {
  position: absolute;
  opacity: 0;
  inset: 0;
  width: 100%;
  height: 100%;
  margin: 0;
  cursor: pointer;
}
.learned p {
  margin: 4px 0;
}
.five {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  align-items: start;
  gap: 12px;
}
@media (max-width: 52.49em) {
  .five {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  .days label {
    min-height: 44px;
    display: grid;
    align-content: center;
  }
}
</style>
