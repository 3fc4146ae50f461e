<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { useIntervalFn } from '@vueuse/core'
import { ref, watch } from 'vue'
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'
import { http } from '@/composables/http'
import type { RideImportView } from '@/types/server'

/** Archives and tables of rides: how far they are read. An archive can be stopped, and goes on where it was. */
const props = defineProps<{ imports: RideImportView[] }>()
const now = ref(props.imports)
watch(
  () => props.imports,
  (fresh) => (now.value = fresh),
)
const EVERY_MS = 1500
const running = () => now.value.some((one) => one.state === 'running')
const { pause, resume } = useIntervalFn(look, EVERY_MS)
watch(running, (on) => (on ? resume() : pause()), { immediate: true })
async function look(): Promise<void> {
  // Away for a moment: it is asked again.
  const answer = await http<RideImportView[]>('get', '/ride-imports')
  if (answer?.ok) now.value = answer.body
  if (!running()) router.reload({ only: ['tracks', 'count', 'rest', 'imports'] })
}
const steer = (one: RideImportView, how: 'stop' | 'go-on') => router.post(`/ride-imports/${one.id}/${how}`, {}, { preserveScroll: true })
const putAside = (one: RideImportView) => router.delete(`/ride-imports/${one.id}`, { preserveScroll: true })
</script>

<template>
  <ul>
    <li v-for="one in now" :key="one.id" :data-test="`import-${one.name}`">
      <div class="row">
        <b>{{ one.name }}</b>
        <progress v-if="one.state === 'running'" :value="one.done" :max="one.total" :aria-label="one.name" />
        <span role="status" data-test="import-text">{{ one.text }}</span>
        <PushButton v-if="one.state === 'running'" data-test="stop-import" @click="steer(one, 'stop')">{{ t('tracks.stop') }}</PushButton>
        <PushButton v-if="one.state === 'stopped'" data-test="go-on" @click="steer(one, 'go-on')">{{ t('tracks.go_on') }}</PushButton>
        <Link v-if="one.state === 'waiting'" :href="`/ride-imports/${one.id}/columns`" data-test="columns">{{ t('tracks.columns') }}</Link>
        <PushButton v-if="one.state !== 'running'" bare data-test="put-aside" @click="putAside(one)">{{
          t('tracks.put_aside')
        }}</PushButton>
      </div>
      <details v-if="one.failures.length">
        <summary>{{ one.failures[0] }}</summary>
        <p v-for="failure in one.failures.slice(1)" :key="failure" class="small">{{ failure }}</p>
      </details>
    </li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 10px 0;
}
li {
  background: var(--paper);
  border: 1px solid var(--line);
  padding: 10px 14px;
  margin-bottom: 8px;
}
.row {
  gap: 8px 14px;
}
p {
  margin: 2px 0;
}
</style>
