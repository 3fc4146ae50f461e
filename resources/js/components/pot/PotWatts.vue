<script setup lang="ts">
import NumberField from '@/components/forms/NumberField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'

/** How strong a pot is, typed from its plate where a plan needs it. */
const props = defineProps<{ pot: number }>()
const emit = defineEmits<{ kept: [] }>()
const { form, submit } = useActionForm({ low: '', high: '' })
const keep = () => submit('put', `/pots/${props.pot}/power`, () => emit('kept'))
</script>

<template>
  <fieldset class="watts" data-test="watts">
    <legend>{{ t('pot_day.watts') }}</legend>
    <NumberField v-model="form.low" :label="t('pot_day.low')" unit="W" density="compact" :error-messages="form.errors.low" name="low" />
    <NumberField v-model="form.high" :label="t('pot_day.high')" unit="W" density="compact" :error-messages="form.errors.high" name="high" />
    <PushButton :loading="form.processing" data-test="keep-watts" @click="keep">{{ t('pot_day.keep_watts') }}</PushButton>
  </fieldset>
</template>

<style scoped>
.watts {
  border: 0;
  padding: 0;
  margin: 8px 0;
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 10px;
  align-items: center;
}
legend {
  font-weight: 620;
  margin-bottom: 6px;
}
</style>
