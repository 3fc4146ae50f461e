<script setup lang="ts">
import { ref } from 'vue'
import NumberField from '@/components/forms/NumberField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'

/** How hot the bath is, typed from a thermometer. */
defineProps<{ unit: string }>()
const emit = defineEmits<{ typed: [celsius: string] }>()
const typed = ref('')
const problem = ref('')
function keep(): void {
  const said = typed.value.trim().replace(',', '.')
  // What is no number is not sent: it would hold up the taps that go with it.
  problem.value = said === '' || Number.isFinite(Number(said)) ? '' : t('job.not_number')
  if (said === '' || problem.value) return
  emit('typed', said)
  typed.value = ''
}
</script>

<template>
  <form class="typed" @submit.prevent="keep">
    <NumberField v-model="typed" density="compact" :error-messages="problem" :label="t('job.celsius')" :unit="`°${unit}`" name="celsius" />
    <PushButton type="submit" data-test="keep-celsius">{{ t('job.keep') }}</PushButton>
  </form>
</template>

<style scoped>
.typed {
  display: flex;
  gap: 10px;
  margin-top: 14px;
  align-items: center;
  max-width: 360px;
}
</style>
