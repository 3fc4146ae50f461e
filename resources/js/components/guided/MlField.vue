<script setup lang="ts">
import { ref } from 'vue'
import NumberField from '@/components/forms/NumberField.vue'
import { t } from '@/composables/useText'

/** How much a chain really took. */
const emit = defineEmits<{ typed: [ml: string] }>()
const ml = ref('')
const said = () => ml.value.trim().replace(',', '.')
// What is no number is not sent: it would hold up the taps that go with it.
const isMl = () => said() === '' || Number(said()) >= 0
const keep = () => said() !== '' && isMl() && emit('typed', said())
</script>

<template>
  <form class="ml" @submit.prevent="keep">
    <NumberField
      v-model="ml"
      density="compact"
      :error-messages="isMl() ? '' : t('job.not_number')"
      :label="t('job.took')"
      unit="ml"
      name="ml"
      @change="keep" />
  </form>
</template>

<style scoped>
.ml {
  max-width: 320px;
  margin-bottom: 8px;
}
</style>
