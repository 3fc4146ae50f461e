<script setup lang="ts">
import { computed, ref } from 'vue'
import MeasureFields from '@/components/wear/MeasureFields.vue'
import ActionDialog from './ActionDialog.vue'
import DayAndTime from './DayAndTime.vue'
import { formsNow } from '@/composables/nowHere'
import { useActionForm } from '@/composables/useActionForm'
import { useMeasuring } from '@/composables/useMeasuring'
import { t } from '@/composables/useText'
import type { FormDefaults, Meaning } from '@/types/server'

/** A chain is measured; one past its limit then goes on to be retired. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ forms: FormDefaults; chain: { id: number; name: string } }>()
const emit = defineEmits<{ retire: [] }>()
const { reading, choose, payload } = useMeasuring(props.forms.instruments)
const meaning = ref<Meaning | null>(null)
const { date, time } = formsNow(props.forms)
const { form, submit } = useActionForm({ date, time }, 'reading')
form.transform((data) => ({ ...data, ...payload() }))

function save(): void {
  submit('post', `/chains/${props.chain.id}/readings`, () => {
    open.value = false
    if (meaning.value?.verdict === 'retire') emit('retire')
  })
}
const known = ['date', 'time', 'pitches', 'zero_pct', 'sure']
const errors = computed(() => form.errors as Record<string, string | undefined>)
const beside = computed(() => Object.fromEntries(Object.entries(errors.value).filter(([field]) => !field.startsWith('spots.'))))
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="`${t('measure.title')}: ${chain.name}`"
    :verb="t('measure.do')"
    :busy="form.processing"
    :errors="beside"
    :known="known"
    wide
    test="measure-form"
    @submit="save">
    <MeasureFields
      v-model:reading="reading"
      :chain="chain"
      :instruments="forms.instruments"
      :pitches-hint="forms.pitchesHint"
      :payload="payload"
      :errors="errors"
      :when="{ date: form.date, time: form.time }"
      @choose="choose"
      @meaning="meaning = $event" />
    <DayAndTime v-model:date="form.date" v-model:time="form.time" :errors="form.errors" />
  </ActionDialog>
</template>
