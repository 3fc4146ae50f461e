<script setup lang="ts">
import ActionDialog from './ActionDialog.vue'
import DayAndTime from './DayAndTime.vue'
import { formsNow } from '@/composables/nowHere'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'

/** Something that only needs its moment: a noise, a strip, an entry that is moved. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{
  what: 'loud' | 'strip' | 'move' | 'brush' | 'oil'
  subject: string
  url: string
  date: string
  time: string
  method?: 'post' | 'put'
}>()
// What is moved has its own moment; the rest is of now.
const { date, time } = props.what === 'move' ? props : formsNow(props)
const { form, submit } = useActionForm({ date, time }, props.what === 'loud' ? 'loud' : undefined)

const save = () => submit(props.method ?? 'post', props.url, () => (open.value = false))
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="`${t(`moment.${what}.title`)}: ${subject}`"
    :verb="t(`moment.${what}.do`)"
    :busy="form.processing"
    :errors="form.errors"
    :known="['date', 'time']"
    :caution="what === 'strip' ? t('moment.strip.text') : undefined"
    :test="`${what}-form`"
    @submit="save">
    <p v-if="what !== 'strip'" class="text">{{ t(`moment.${what}.text`) }}</p>
    <DayAndTime v-model:date="form.date" v-model:time="form.time" :errors="form.errors" />
  </ActionDialog>
</template>

<style scoped>
.text {
  margin: 0;
}
</style>
