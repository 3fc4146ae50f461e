<script setup lang="ts">
import { computed } from 'vue'
import ActionDialog from './ActionDialog.vue'
import ChangesPreview from './ChangesPreview.vue'
import DayAndTime from './DayAndTime.vue'
import TapChoice from './TapChoice.vue'
import TickBox from '@/components/forms/TickBox.vue'
import { useActionForm } from '@/composables/useActionForm'
import { usePreview } from '@/composables/usePreview'
import { t } from '@/composables/useText'
import type { ChangedChain, FormDefaults } from '@/types/server'

/** The tag says C, Dripel says B: which chain has really been on, and since when. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ forms: FormDefaults; bike: number }>()
const bike = computed(() => props.forms.bikes.find((other) => other.id === props.bike))
const others = computed(() => (bike.value?.chains ?? []).filter((chain) => chain.id !== bike.value?.chainId))
const { form, submit } = useActionForm({
  chain_id: '',
  exchange: false,
  date: bike.value?.since?.date ?? props.forms.date,
  time: bike.value?.since?.time ?? props.forms.time,
})
const url = computed(() => `/bikes/${props.bike}/corrections`)
const { preview, problems } = usePreview<{ chains: ChangedChain[] }>(
  'post',
  () => url.value,
  () => (form.chain_id ? { ...form.data(), preview: true } : null),
)
const errors = computed(() => ({ ...problems.value, ...form.errors }) as Record<string, string | undefined>)
const save = () => submit('post', url.value, () => (open.value = false))
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="`${t('correct.title')}: ${bike?.name ?? ''}`"
    :verb="t('correct.do')"
    :busy="form.processing"
    :errors="errors"
    :known="['date', 'time']"
    test="correct-form"
    @submit="save">
    <p class="text">{{ bike?.chain ? t('correct.says', { chain: bike.chain }) : t('correct.says_none') }}</p>
    <TapChoice
      v-model="form.chain_id"
      :legend="t('correct.really')"
      :options="others.map((chain) => ({ value: String(chain.id), title: chain.label }))"
      test="really" />
    <DayAndTime v-model:date="form.date" v-model:time="form.time" :errors="errors" :time-label="t('correct.since')" />
    <TickBox v-if="bike?.chain" v-model="form.exchange" :label="t('correct.exchange')" :hint="t('correct.exchange_hint')" persistent-hint />
    <ChangesPreview :chains="preview?.chains ?? null" />
  </ActionDialog>
</template>

<style scoped>
.text {
  margin: 0;
}
</style>
