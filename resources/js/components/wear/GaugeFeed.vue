<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { onMounted, ref } from 'vue'
import PushButton from '@/components/layout/PushButton.vue'
import { http } from '@/composables/http'
import { ask } from '@/composables/usePreview'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'

/** Listens for what a digital gauge sends while the form is open, and starts the simulated one in the demo. */
const props = defineProps<{ chain: number }>()
const emit = defineEmits<{ value: [value: string] }>()
const here = useHere()
const since = ref<number | null>(null)
const came = ref(0)
const problem = ref('')
async function look(): Promise<void> {
  const url = since.value === null ? '/gauges/values' : `/gauges/values?since=${since.value}`
  const answer = await http<{ values: string[]; last: number }>('get', url)
  // The page says by itself that the machine is away.
  if (!answer?.ok) return
  since.value = answer.body.last
  for (const value of answer.body.values) {
    came.value++
    emit('value', value)
  }
}
onMounted(look)
useIntervalFn(look, 1500)
async function simulate(): Promise<void> {
  await look()
  const result = await ask<{ spots: number }>('post', `/chains/${props.chain}/simulated-gauge`, {})
  problem.value = 'errors' in result ? (Object.values(result.errors)[0] ?? '') : ''
}
</script>

<template>
  <div class="feed" role="status" data-test="feed">
    <span class="muted small">{{ came ? t('measure.came', { count: came }) : t('measure.listening') }}</span>
    <PushButton v-if="here.demo" data-test="simulate" @click="simulate">{{ t('measure.simulate') }}</PushButton>
    <span v-if="problem" class="ember">{{ problem }}</span>
  </div>
</template>

<style scoped>
.feed {
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
}
</style>
