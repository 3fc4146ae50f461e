<script setup lang="ts">
import { computed } from 'vue'
import ActionDialog from './ActionDialog.vue'
import ChangesPreview from './ChangesPreview.vue'
import TapChoice from './TapChoice.vue'
import { useActionForm } from '@/composables/useActionForm'
import { usePreview } from '@/composables/usePreview'
import { t } from '@/composables/useText'
import type { ChangedChain, FormDefaults } from '@/types/server'

/** What many rides were like, said at once; everything that follows from them is put right. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ forms: FormDefaults; rides: number[] }>()
const { form, submit } = useActionForm({ condition: '', rides: props.rides })
const { preview, problems } = usePreview<{ chains: ChangedChain[] }>(
  'post',
  () => '/rides/condition',
  () => (form.condition ? { ...form.data(), preview: true } : null),
)
const errors = computed(() => ({ ...problems.value, ...form.errors }) as Record<string, string | undefined>)
const save = () => submit('post', '/rides/condition', () => (open.value = false))
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="t('set_condition.title', { count: rides.length })"
    :verb="t('set_condition.do')"
    :busy="form.processing"
    :errors="errors"
    test="condition-form"
    @submit="save">
    <TapChoice v-model="form.condition" :legend="t('ride.condition')" :options="forms.conditions" test="condition" even />
    <ChangesPreview :chains="preview?.chains ?? null" />
  </ActionDialog>
</template>
