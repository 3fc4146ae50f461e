<script setup lang="ts">
import { router } from '@inertiajs/vue3'
import { ref } from 'vue'
import { ask } from '@/composables/usePreview'
import { t } from '@/composables/useText'

/** Digital gauges that send what they show: each with a token of its own, told once. */
defineProps<{ gauges: { id: number; name: string }[] }>()
const name = ref('')
const told = ref<{ token: string; address: string } | null>(null)
const problem = ref('')
async function connect(): Promise<void> {
  const result = await ask<{ token: string; address: string }>('post', '/gauges', { name: name.value })
  if ('answer' in result) {
    told.value = result.answer
    ;[name.value, problem.value] = ['', '']
    router.reload({ only: ['gauges'] })
  } else problem.value = Object.values(result.errors)[0] ?? ''
}
const disconnect = (id: number) => router.delete(`/devices/${id}`, { preserveScroll: true })
</script>

<template>
  <div class="fields" data-test="gauges">
    <ul v-if="gauges.length">
      <li v-for="gauge in gauges" :key="gauge.id">
        <b>{{ gauge.name }}</b>
        <button type="button" class="as-link" :aria-label="`${t('probe.disconnect')}: ${gauge.name}`" @click="disconnect(gauge.id)">
          {{ t('probe.disconnect') }}
        </button>
      </li>
    </ul>
    <form class="two" @submit.prevent="connect">
      <v-text-field v-model="name" density="compact" :label="t('gauge.device_name')" :error-messages="problem" name="gauge-name" />
      <v-btn type="submit" size="small" data-test="connect-gauge">{{ t('gauge.connect') }}</v-btn>
    </form>
    <div v-if="told" role="status" data-test="token">
      <p class="small">{{ t('probe.told') }}</p>
      <pre>
POST {{ told.address }}
Authorization: Bearer {{ told.token }}
{"readings": [{"sequence": 1, "value_pct": 0.32}]}</pre>
    </div>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
pre {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  font-size: 12px;
  background: var(--wall);
  padding: 8px 10px;
  border: 1px solid var(--line);
  margin: 0;
}
p {
  margin: 0 0 4px;
}
</style>
