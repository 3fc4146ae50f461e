<script setup lang="ts">
import { router } from '@inertiajs/vue3'
import { ref } from 'vue'
import { ask } from '@/composables/usePreview'
import { t } from '@/composables/useText'
import type { PotInBooks } from '@/types/pots'

/** Probes of a pot: each with a token of its own, told once. */
const props = defineProps<{ pot: PotInBooks }>()
const name = ref('')
const told = ref<{ token: string; address: string } | null>(null)
const problem = ref('')
async function connect(): Promise<void> {
  const result = await ask<{ token: string; address: string }>('post', `/pots/${props.pot.id}/devices`, { name: name.value })
  if ('answer' in result) {
    told.value = result.answer
    name.value = ''
    router.reload({ only: ['pots'] })
  } else problem.value = Object.values(result.errors)[0] ?? ''
}
const disconnect = (id: number) => router.delete(`/devices/${id}`, { preserveScroll: true })
</script>

<template>
  <div class="panel fields" data-test="probes">
    <ul v-if="pot.probes.length">
      <li v-for="probe in pot.probes" :key="probe.id">
        <b>{{ probe.name }}</b> <span class="muted">{{ probe.seen }}</span>
        <button type="button" class="as-link" @click="disconnect(probe.id)">{{ t('probe.disconnect') }}</button>
      </li>
    </ul>
    <form class="two" @submit.prevent="connect">
      <v-text-field v-model="name" density="compact" :label="t('probe.name')" :error-messages="problem" name="probe-name" />
      <v-btn type="submit" size="small" data-test="connect">{{ t('probe.connect') }}</v-btn>
    </form>
    <div v-if="told" role="status" data-test="token">
      <p class="small">{{ t('probe.told') }}</p>
      <pre>
POST {{ told.address }}
Authorization: Bearer {{ told.token }}
{"readings": [{"sequence": 1, "at": "2026-11-25T10:00:00Z", "celsius": 84.2}]}</pre>
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
  background: var(--paper);
  padding: 8px 10px;
  border: 1px solid var(--line);
  margin: 0;
}
p {
  margin: 0 0 4px;
}
</style>
