<script setup lang="ts">
import { router, useForm } from '@inertiajs/vue3'
import { ref } from 'vue'
import PushButton from '@/components/layout/PushButton.vue'
import { http } from '@/composables/http'
import { t } from '@/composables/useText'

/** Takes ride files, by drop or by choice: one is looked at at once, many are read one after the other, to be looked at together. */
defineProps<{ megabytes: number }>()
const form = useForm<{ file: File | null }>({ file: null })
const over = ref(false)
const input = ref<HTMLInputElement | null>(null)
const many = ref<{ count: number; done: number; read: number; failed: string[]; stopped: boolean } | null>(null)
const busy = () => form.processing || (many.value !== null && many.value.done < many.value.count && !many.value.stopped)

function send(files: FileList | null | undefined): void {
  over.value = false
  const list = [...(files ?? [])]
  if (!list[0] || busy()) return
  if (list.length > 1) return void sendMany(list)
  form.file = list[0]
  form.post('/tracks', { forceFormData: true, onFinish: () => input.value && (input.value.value = '') })
}
async function sendMany(files: File[]): Promise<void> {
  many.value = { count: files.length, done: 0, read: 0, failed: [], stopped: false }
  const state = many.value
  for (const file of files) {
    if (state.stopped) break
    const why = await sendOne(file)
    state.done++
    if (why === null) state.read++
    else state.failed.push(t('tracks.failed', { name: file.name, why }))
  }
  if (input.value) input.value.value = ''
  if (!state.failed.length && !state.stopped) router.visit('/tracks')
}
/** Null, or what is wrong with it. */
async function sendOne(file: File): Promise<string | null> {
  const data = new FormData()
  data.append('file', file)
  const answer = await http('post', '/tracks/one', data)
  if (!answer) return t('offline.text')
  return answer.ok ? null : (answer.errors.file ?? Object.values(answer.errors)[0] ?? '')
}
</script>

<template>
  <div
    class="drop"
    :class="{ over }"
    data-test="track-drop"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="send($event.dataTransfer?.files)">
    <label
      ><input
        ref="input"
        type="file"
        multiple
        accept=".gpx,.tcx,.fit,.csv,.tsv,.txt,.zip,.gz,application/gpx+xml"
        class="sr"
        data-test="track-file"
        @change="send(($event.target as HTMLInputElement).files)" /><b>{{
        form.processing ? t('rides.reading') : t('rides.drop')
      }}</b></label
    >
    <progress v-if="form.progress" :value="form.progress.percentage" max="100" :aria-label="t('rides.reading')" />
    <span class="muted small">{{ t('rides.drop_hint', { megabytes }) }}</span>
    <p v-if="form.errors.file" class="ember" role="alert" data-test="track-error">{{ form.errors.file }}</p>
    <div v-if="many" class="many" role="status" data-test="many">
      <progress :value="many.done" :max="many.count" :aria-label="t('rides.reading')" />
      <span>{{ many.stopped ? t('tracks.stopped') : t('tracks.sending', { done: many.done, count: many.count }) }}</span>
      <PushButton v-if="busy()" data-test="stop-reading" @click="many.stopped = true">{{ t('tracks.stop') }}</PushButton>
      <PushButton v-else-if="many.read" data-test="look" @click="router.visit('/tracks')">{{
        t('tracks.look', { count: many.read })
      }}</PushButton>
      <p v-for="line in many.failed" :key="line" class="ember" data-test="failed">{{ line }}</p>
    </div>
  </div>
</template>

<style scoped>
.drop {
  border: 1.5px dashed var(--steel-2);
  border-radius: 3px;
  padding: 14px 16px;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
  background: var(--paper);
}
.drop.over {
  border-color: var(--ready);
  border-style: solid;
}
label {
  cursor: pointer;
  text-decoration: underline;
  text-underline-offset: 3px;
}
@media (max-width: 52.49em) {
  .drop label {
    min-height: 44px;
    display: flex;
    align-items: center;
  }
}
label:focus-within {
  outline: 2.5px solid var(--ink);
  outline-offset: 2px;
}
.many {
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
}
p {
  margin: 4px 0 0;
  flex-basis: 100%;
  font-weight: 560;
}
</style>
