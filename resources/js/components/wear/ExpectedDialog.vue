<script setup lang="ts">
import ActionDialog from '@/components/forms/ActionDialog.vue'
import NumberField from '@/components/forms/NumberField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'

/** How long a chain is expected to live by its interval: the house rule, or the rider's own. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ points: { interval: string; life: string }[]; unit: string }>()
const { form, submit } = useActionForm({ points: props.points.map(({ interval, life }) => ({ interval, life })), house: false })
const save = (house: boolean) => {
  form.house = house
  submit('put', '/gauge/expected', () => (open.value = false))
}
const errors = () => form.errors as Record<string, string | undefined>
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="t('gauge.expected')"
    :verb="t('verbs.save')"
    :busy="form.processing"
    :errors="form.errors"
    test="expected-form"
    @submit="save(false)">
    <p class="muted small">{{ t('gauge.expected_text') }}</p>
    <div v-for="(point, i) in form.points" :key="i" class="two">
      <NumberField
        v-model="point.interval"
        :label="t('gauge.interval')"
        :unit="unit"
        :error-messages="errors()[`points.${i}.interval`]"
        :name="`interval-${i}`" />
      <NumberField
        v-model="point.life"
        :label="t('gauge.life')"
        :unit="unit"
        :error-messages="errors()[`points.${i}.life`]"
        :name="`life-${i}`" />
    </div>
    <div class="row">
      <PushButton data-test="house" @click="save(true)">{{ t('gauge.house') }}</PushButton>
    </div>
  </ActionDialog>
</template>

<style scoped>
p {
  margin: 0;
}
</style>
