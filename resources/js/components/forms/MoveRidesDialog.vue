<script setup lang="ts">
import { computed } from 'vue'
import ActionDialog from './ActionDialog.vue'
import ChangesPreview from './ChangesPreview.vue'
import TapChoice from './TapChoice.vue'
import { useActionForm } from '@/composables/useActionForm'
import { usePreview } from '@/composables/usePreview'
import { t } from '@/composables/useText'
import type { ChangedChain, FormDefaults } from '@/types/server'

/** Rides that were on another bike, or on one that nobody had named yet. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ forms: FormDefaults; rides: number[]; about?: string }>()
const { form, submit } = useActionForm({ bike_id: '', rides: props.rides })
const { preview, problems } = usePreview<{ chains: ChangedChain[] }>(
  'post',
  () => '/rides/move',
  () => (form.bike_id ? { ...form.data(), preview: true } : null),
)
const errors = computed(() => ({ ...problems.value, ...form.errors }) as Record<string, string | undefined>)
const save = () => submit('post', '/rides/move', () => (open.value = false))
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="t('move_rides.title')"
    :verb="t('move_rides.do')"
    :busy="form.processing"
    :errors="errors"
    test="move-rides-form"
    @submit="save">
    <p v-if="about" class="text">{{ about }}</p>
    <TapChoice
      v-model="form.bike_id"
      :legend="t('move_rides.to')"
      :options="forms.bikes.map((bike) => ({ value: String(bike.id), title: bike.chain ? `${bike.name} ${bike.chain}` : bike.name }))"
      test="to-bike" />
    <ChangesPreview :chains="preview?.chains ?? null" />
  </ActionDialog>
</template>

<style scoped>
.text {
  margin: 0;
}
</style>
