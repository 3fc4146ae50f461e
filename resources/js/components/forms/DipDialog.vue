<script setup lang="ts">
import { computed } from 'vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import type { FormDefaults, PotChain } from '@/types/props'
import ActionDialog from './ActionDialog.vue'
import DayAndTime from './DayAndTime.vue'

/** Chains that were waxed together, recorded plainly. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ forms: FormDefaults; chains: PotChain[]; list: number[] }>()
const { form, submit } = useActionForm<{ chains: number[]; date: string; time: string; dry: boolean; rust_looked: boolean }>({
  chains: [...props.list],
  date: props.forms.date,
  time: props.forms.time,
  dry: false,
  rust_looked: false,
})
const offered = computed(() => props.chains.filter((chain) => props.list.includes(chain.id)))
const rusty = computed(() => offered.value.some((chain) => chain.rust && form.chains.includes(chain.id)))

const save = () => submit('post', '/dips', () => (open.value = false))
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="t('dip.title')"
    :verb="t('dip.do')"
    :busy="form.processing"
    :errors="form.errors"
    :known="['date', 'time', 'dry', 'rust_looked']"
    :caution="t('dip.caution')"
    test="dip-form"
    @submit="save">
    <fieldset>
      <legend>{{ t('dip.chains') }}</legend>
      <v-checkbox
        v-for="chain in offered"
        :key="chain.id"
        v-model="form.chains"
        :value="chain.id"
        :label="`${chain.name}: ${chain.word}${chain.detail ? ', ' + chain.detail : ''}`" />
    </fieldset>
    <DayAndTime v-model:date="form.date" v-model:time="form.time" :errors="form.errors" />
    <v-checkbox v-model="form.dry" :label="t('dip.dry')" :error-messages="form.errors.dry" data-test="dry" />
    <v-checkbox
      v-if="rusty || form.errors.rust_looked"
      v-model="form.rust_looked"
      :label="t('dip.rust')"
      :error-messages="form.errors.rust_looked"
      data-test="rust" />
  </ActionDialog>
</template>
