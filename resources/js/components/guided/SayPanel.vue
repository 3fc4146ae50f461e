<script setup lang="ts">
import { computed, ref } from 'vue'
import PushButton from '@/components/layout/PushButton.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import TextField from '@/components/forms/TextField.vue'
import { t } from '@/composables/useText'

/** Words beside a step: a note, or why it is passed over. */
const props = defineProps<{ what: 'note' | 'skip'; asks: { value: string; title: string }[] }>()
const emit = defineEmits<{ said: [text: string, answer: string] }>()
const text = ref('')
const answer = ref('')
const asked = computed(() => props.what === 'skip' && props.asks.length > 0)
const send = () => text.value.trim() !== '' && (!asked.value || answer.value !== '') && emit('said', text.value.trim(), answer.value)
</script>

<template>
  <form class="say" @submit.prevent="send">
    <TextField v-model="text" autofocus density="compact" :label="what === 'note' ? t('job.note_text') : t('job.skip_why')" name="say" />
    <TapChoice v-if="asked" v-model="answer" class="asked" :legend="t('job.asks')" :options="asks" test="waxed" />
    <PushButton type="submit" data-test="said">{{ what === 'note' ? t('job.keep') : t('job.skip') }}</PushButton>
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
.asked {
  grid-column: 1 / -1;
  grid-row: 1;
}
</style>
