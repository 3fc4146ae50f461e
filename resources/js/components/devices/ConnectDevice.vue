<script setup lang="ts">
import { router } from '@inertiajs/vue3'
import { ref } from 'vue'
import PushButton from '@/components/layout/PushButton.vue'
import TextField from '@/components/forms/TextField.vue'
import { confirmed } from '@/composables/useConfirmed'
import { ask } from '@/composables/usePreview'
import { t } from '@/composables/useText'

/** Things that send readings or read what stands in the book: each with a token of its own, told once. */
const props = defineProps<{
  devices: { id: number; name: string; seen?: string }[]
  url: string
  nameLabel: string
  verb: string
  /** How it speaks to the address: sends to it, unless it is said. */
  method?: 'GET' | 'POST'
  /** What such a device sends. */
  example: string
  /** The part of the page to ask for anew. */
  reload: string
  test: string
}>()
const name = ref('')
const told = ref<{ token: string; address: string } | null>(null)
const problem = ref('')
async function connect(): Promise<void> {
  const result = await ask<{ token: string; address: string }>('post', props.url, { name: name.value })
  if ('answer' in result) {
    told.value = result.answer
    ;[name.value, problem.value] = ['', '']
    router.reload({ only: [props.reload] })
  } else problem.value = Object.values(result.errors)[0] ?? ''
}
const disconnect = (id: number) => router.delete(`/devices/${id}`, { preserveScroll: true })
</script>

<template>
  <div class="fields">
    <ul v-if="devices.length">
      <li v-for="device in devices" :key="device.id">
        <b>{{ device.name }}</b> <span v-if="device.seen" class="muted">{{ device.seen }}</span>
        <button type="button" class="as-link" :aria-label="`${t('probe.disconnect')}: ${device.name}`" @click="disconnect(device.id)">
          {{ t('probe.disconnect') }}
        </button>
      </li>
    </ul>
    <form class="two" @submit.prevent="confirmed(connect)">
      <TextField v-model="name" density="compact" :label="nameLabel" :error-messages="problem" :name="`${test}-name`" />
      <PushButton type="submit" :data-test="`connect-${test}`">{{ verb }}</PushButton>
    </form>
    <div v-if="told" role="status" data-test="token">
      <p class="small">{{ t(method === 'GET' ? 'keep.display_told' : 'probe.told') }}</p>
      <pre
        >{{ method ?? 'POST' }} {{ told.address }}
Authorization: Bearer {{ told.token }}
{{ example }}</pre>
    </div>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li .as-link {
  margin-left: 8px;
}
pre {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  font-size: var(--type-2);
  background: var(--paper);
  padding: 8px 10px;
  border: 1px solid var(--line);
  margin: 0;
}
p {
  margin: 0 0 4px;
}
</style>
