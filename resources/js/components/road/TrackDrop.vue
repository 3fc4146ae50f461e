<script setup lang="ts">
import { useForm } from '@inertiajs/vue3'
import { ref } from 'vue'
import { t } from '@/composables/useText'

/** Takes one ride file, by drop or by choice, and shows what came of it. */
defineProps<{ megabytes: number }>()
const form = useForm<{ file: File | null }>({ file: null })
const over = ref(false)
const input = ref<HTMLInputElement | null>(null)

function send(files: FileList | null | undefined): void {
  over.value = false
  const file = files?.[0]
  if (!file || form.processing) return
  form.file = file
  form.post('/tracks', { forceFormData: true, onFinish: () => input.value && (input.value.value = '') })
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
        accept=".gpx,application/gpx+xml"
        class="sr"
        data-test="track-file"
        @change="send(($event.target as HTMLInputElement).files)" /><b>{{ form.processing ? t('road.reading') : t('road.drop') }}</b></label
    >
    <progress v-if="form.progress" :value="form.progress.percentage" max="100" :aria-label="t('road.reading')" />
    <span class="muted small">{{ t('road.drop_hint', { megabytes }) }}</span>
    <p v-if="form.errors.file" class="ember" role="alert" data-test="track-error">{{ form.errors.file }}</p>
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
label:focus-within {
  outline: 2.5px solid var(--ink);
  outline-offset: 2px;
}
p {
  margin: 4px 0 0;
  flex-basis: 100%;
  font-weight: 560;
}
</style>
