<script setup lang="ts">
import { ref } from 'vue'
import { t } from '@/composables/useText'

/** Words beside a step: a note, or why it is passed over. */
defineProps<{ what: 'note' | 'skip' }>()
const emit = defineEmits<{ said: [text: string] }>()
const text = ref('')
const send = () => text.value.trim() !== '' && emit('said', text.value.trim())
</script>

<template>
  <form class="say" @submit.prevent="send">
    <v-text-field
      v-model="text"
      autofocus
      density="compact"
      hide-details
      :label="what === 'note' ? t('job.note_text') : t('job.skip_why')"
      name="say" />
    <v-btn type="submit" data-test="said">{{ what === 'note' ? t('job.keep') : t('job.skip') }}</v-btn>
  </form>
</template>

<style scoped>
.say {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
  max-width: 560px;
  margin-bottom: 12px;
}
</style>
