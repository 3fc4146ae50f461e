<script setup lang="ts">
import { computed } from 'vue'
import ActionDialog from './ActionDialog.vue'
import ChangesPreview from './ChangesPreview.vue'
import DayAndTime from './DayAndTime.vue'
import TapChoice from './TapChoice.vue'
import NumberField from '@/components/forms/NumberField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { usePreview } from '@/composables/usePreview'
import { choicesOf, t } from '@/composables/useText'
import type { ChangedChain, OpeningView } from '@/types/server'

/** What a part brought with it, put right once it is known. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ opening: OpeningView | null; chain?: number; subject: string; kind: 'chain' | 'part' | 'link' }>()
const here = useHere()
const { form, submit } = useActionForm({
  km: props.opening?.km ?? '',
  wax: (props.opening?.wax ?? 'none') as string,
  since_wax: props.opening?.since_wax ?? '',
  closings: props.opening?.closings ?? '',
  date: props.opening?.date ?? '',
  time: props.opening?.time ?? '',
})
const method = props.opening ? 'put' : 'post'
const url = props.opening ? `/openings/${props.opening.id}` : `/chains/${props.chain}/opening`
const { preview, problems } = usePreview<{ chains: ChangedChain[] }>(
  method,
  () => url,
  () => (props.kind === 'chain' ? { ...form.data(), preview: true } : null),
)
const errors = computed(() => ({ ...problems.value, ...form.errors }) as Record<string, string | undefined>)
const states = choicesOf(['known', 'unknown', 'none'], (value) => `opening.wax_${value}`)
const save = () => submit(method, url, () => (open.value = false))
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="`${t('opening.title')}: ${subject}`"
    :verb="t('opening.do')"
    :busy="form.processing"
    :errors="errors"
    :known="['km', 'since_wax', 'closings', 'date', 'time']"
    test="opening-form"
    @submit="save">
    <p class="muted small">{{ opening ? t('opening.as_of', { day: opening.of }) : t('opening.before_all') }}</p>
    <DayAndTime v-if="opening" v-model:date="form.date" v-model:time="form.time" :errors="errors" />
    <NumberField
      v-if="kind !== 'link'"
      v-model="form.km"
      :label="t('opening.km')"
      :hint="t('opening.unknown')"
      persistent-hint
      :unit="here.distanceUnit"
      :error-messages="errors.km"
      name="km" />
    <template v-if="kind === 'chain'">
      <TapChoice v-model="form.wax" :legend="t('opening.wax')" :options="states" test="wax" />
      <NumberField
        v-if="form.wax === 'known'"
        v-model="form.since_wax"
        :label="t('opening.since')"
        :unit="here.distanceUnit"
        :error-messages="errors.since_wax"
        name="since_wax" />
    </template>
    <NumberField
      v-if="kind === 'link'"
      v-model="form.closings"
      whole
      :label="t('opening.closings')"
      :hint="t('opening.unknown')"
      persistent-hint
      :error-messages="errors.closings"
      name="closings" />
    <ChangesPreview v-if="kind === 'chain'" :chains="preview?.chains ?? null" />
  </ActionDialog>
</template>

<style scoped>
p {
  margin: 0;
}
</style>
