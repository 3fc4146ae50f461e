<script setup lang="ts">
import { Link, router, useForm } from '@inertiajs/vue3'
import { ref } from 'vue'
import ConnectDevice from '@/components/devices/ConnectDevice.vue'
import PushButton from '@/components/layout/PushButton.vue'
import TextField from '@/components/forms/TextField.vue'
import { confirmed } from '@/composables/useConfirmed'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'
import type { TextKey } from '@/types/texts'
import type { KeepView } from '@/types/server'

/** The workshop as a file, its tables, tags to print; the owner also restores and empties. */
defineProps<KeepView>()
const here = useHere()
const file = ref<HTMLInputElement | null>(null)
const restore = useForm<{ file: File | null }>({ file: null })
function send(): void {
  restore.file = file.value?.files?.[0] ?? null
  if (file.value) file.value.value = ''
  if (restore.file) void confirmed(() => restore.post('/restore', { forceFormData: true, preserveScroll: true }))
}
const empty = useForm({ name: '' })
const emptying = ref(false)
const errorOf = () => (empty.errors as Record<string, string>).empty_name
const clear = () => confirmed(() => empty.post('/empty', { preserveScroll: true, onSuccess: () => router.visit('/') }))
</script>

<template>
  <section aria-labelledby="keep">
    <h2 id="keep">{{ t('keep.title') }}</h2>
    <p class="muted small">{{ t('keep.text') }}</p>
    <p v-if="backup" :class="backup.old ? 'ember strong' : 'small'" data-test="backup">{{ backup.text }}</p>
    <p v-if="verified" class="muted small" data-test="verified">{{ verified }}</p>
    <div class="row">
      <a class="download" href="/export/workshop.json" download data-test="export">{{ t('keep.export') }}</a>
      <Link class="download" href="/labels" data-test="labels">{{ t('keep.labels') }}</Link>
    </div>
    <details>
      <summary>{{ t('keep.tables') }}</summary>
      <ul class="tables">
        <li v-for="table in tables" :key="table">
          <a :href="`/export/${table}.csv`" download>{{ t(`keep.table.${table}` as TextKey) }}</a>
        </li>
      </ul>
    </details>
    <h2>{{ t('keep.display') }}</h2>
    <p class="muted small">{{ t('keep.display_text') }}</p>
    <ConnectDevice
      :devices="displays"
      url="/displays"
      method="GET"
      :name-label="t('keep.display_name')"
      :verb="t('keep.display_do')"
      example=""
      reload="keep"
      test="display" />
    <template v-if="here.role === 'owner'">
      <label class="file"
        ><span>{{ t('keep.restore') }}</span
        ><input ref="file" type="file" accept=".json,application/json" data-test="restore-file" @change="send"
      /></label>
      <p v-if="restore.errors.file" class="ember" role="alert" data-test="restore-error">{{ restore.errors.file }}</p>
      <PushButton v-if="!emptying" data-test="empty" @click="emptying = true">{{ t('keep.empty') }}</PushButton>
      <form v-else class="fields" @submit.prevent="clear">
        <p class="caution">{{ t('keep.empty_text') }}</p>
        <TextField v-model="empty.name" :label="t('keep.empty_name')" :error-messages="errorOf()" name="empty-name" />
        <div class="row">
          <PushButton type="submit" :loading="empty.processing" data-test="empty-now">{{ t('keep.empty_do') }}</PushButton>
          <PushButton @click="emptying = false">{{ t('verbs.cancel') }}</PushButton>
        </div>
      </form>
    </template>
  </section>
</template>

<style scoped>
p {
  margin: 4px 0 10px;
}
.download {
  font-weight: 620;
  font-size: var(--type-2);
  border: 1.2px solid var(--ink);
  border-radius: 3px;
  background: var(--paper);
  padding: 7px 12px;
  text-decoration: none;
}
details {
  margin: 12px 0;
}
summary {
  cursor: pointer;
  min-height: 24px;
}
.tables {
  columns: 2;
  padding: 0;
  list-style: none;
  margin: 8px 0;
}
.tables li {
  min-height: 26px;
}
.file {
  display: grid;
  gap: 6px;
  margin: 12px 0;
  font-size: var(--type-2);
  color: var(--steel);
}
.file input {
  font: inherit;
  max-width: 100%;
}
@media (max-width: 52.49em) {
  .download {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
  .tables li {
    min-height: 44px;
  }
}
</style>
