<script setup lang="ts">
import { computed, reactive } from 'vue'
import NumberField from '@/components/forms/NumberField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import TextField from '@/components/forms/TextField.vue'
import { newActionId, useActionForm } from '@/composables/useActionForm'
import { usePreview } from '@/composables/usePreview'
import { choicesOf, t } from '@/composables/useText'
import type { PotOnShelf } from '@/types/server'

/** What a pot really loses, from a heat-up that was logged. */
const props = defineProps<{ pot: PotOnShelf; temperature: string }>()
const values = reactive({
  heat_up: props.pot.heatUps[0]?.value ?? null,
  power: 'low',
  room: props.temperature === 'F' ? '64' : '18',
  readings: '',
})
const sources = computed(() => [...props.pot.heatUps, { value: null, title: t('calibrate.typed') }])
const powers = choicesOf(['low', 'high'], (value) => `heat.${value}`)
const wanted = () => (values.heat_up ? { heat_up: values.heat_up } : { power: values.power, room: values.room, readings: values.readings })
const { preview, problems } = usePreview<{ text: string }>(
  'post',
  () => `/pots/${props.pot.id}/calibrate/fit`,
  () => (values.heat_up || values.readings.trim() ? { ...wanted(), action_id: newActionId() } : null),
)
const { form, submit } = useActionForm({})
const keep = (forget: boolean) => {
  form.transform((data) => ({ ...data, ...(forget ? { forget: true } : wanted()) }))
  submit('post', `/pots/${props.pot.id}/calibrate`)
}
</script>

<template>
  <div class="panel fields" data-test="calibrate">
    <p>{{ pot.calibrated }}</p>
    <v-select
      v-if="pot.heatUps.length"
      v-model="values.heat_up"
      :items="sources"
      :label="t('calibrate.from')"
      :error-messages="problems.heat_up" />
    <template v-if="!values.heat_up">
      <TapChoice v-model="values.power" :legend="t('heat.power')" :options="powers" test="calibrate-power" />
      <NumberField
        v-model="values.room"
        :label="t('pot_day.room')"
        :unit="`°${temperature}`"
        :error-messages="problems.room"
        density="compact"
        name="calibrate-room" />
      <TextField
        v-model="values.readings"
        rows="4"
        :label="t('calibrate.readings')"
        :hint="t('calibrate.hint')"
        persistent-hint
        :error-messages="problems.readings ?? problems.observed ?? problems.power"
        name="readings" />
    </template>
    <p v-if="preview?.text" class="strong" role="status" data-test="fitted">{{ preview.text }}</p>
    <div class="row">
      <PushButton v-if="preview?.text" :loading="form.processing" data-test="keep-calibration" @click="keep(false)">{{
        t('calibrate.keep')
      }}</PushButton>
      <PushButton v-if="pot.isCalibrated" bare @click="keep(true)">{{ t('calibrate.forget') }}</PushButton>
    </div>
  </div>
</template>

<style scoped>
p {
  margin: 0;
}
.strong {
  font-weight: 620;
}
.row {
  gap: 10px;
}
</style>
