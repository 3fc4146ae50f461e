<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { ref, watch } from 'vue'
import AppShell from '@/components/layout/AppShell.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import type { TextKey } from '@/types/texts'
import { write } from '@/composables/useWrite'
import type { PartsTablePage } from '@/types/server'

/** Many used parts from a table: what was read, and what is wrong with each row, before anything is taken in. */
const props = defineProps<PartsTablePage>()
const { form, submit } = useActionForm({ text: props.text ?? '' })
watch(
  () => props.text,
  (text) => Object.assign(form, { text: text ?? '' }),
)
const input = ref<HTMLInputElement | null>(null)
const faults = () => props.rows.filter((row) => row.errors.length).length
async function read(): Promise<void> {
  const file = input.value?.files?.[0]
  if (!file || !input.value) return
  const text = await file.text()
  // The same file, mended, can be chosen again.
  input.value.value = ''
  write('post', '/arrive/table', { text }, { preserveScroll: false })
}
const keep = () => submit('post', '/arrive/table/keep')
</script>

<template>
  <AppShell :title="t('table.title')" at="shed">
    <div class="page">
      <h1>{{ t('table.title') }}</h1>
      <p class="muted lead">
        {{ t('table.text') }} <a href="/arrive/template.csv">{{ t('table.template') }}</a>
      </p>
      <label class="file"
        ><span>{{ text === null ? t('table.choose') : t('table.again') }}</span
        ><input ref="input" type="file" accept=".csv,.tsv,.txt,text/csv" data-test="table-file" @change="read"
      /></label>
      <p v-if="problem" class="ember" role="alert" data-test="table-problem">{{ problem }}</p>
      <div v-if="rows.length" class="scroll" tabindex="0" role="region" :aria-label="t('table.title')">
        <table class="plain">
          <thead>
            <tr>
              <th>{{ t('table.line') }}</th>
              <th v-for="column in columns" :key="column">{{ t(`table.columns.${column}` as TextKey) }}</th>
            </tr>
          </thead>
          <tbody>
            <template v-for="row in rows" :key="row.line">
              <tr :class="{ faulty: row.errors.length }" data-test="table-row">
                <td class="muted">{{ row.line }}</td>
                <td v-for="(cell, i) in row.cells" :key="i" :class="{ ember: row.errors.some((error) => error.column === columns[i]) }">
                  {{ cell || '–'
                  }}<span v-if="i === 0 && row.newBike && !row.errors.length" class="muted"> ({{ t('table.new_bike') }})</span>
                </td>
              </tr>
              <tr v-if="row.errors.length">
                <td />
                <td :colspan="columns.length" class="ember why" data-test="row-error">
                  <span>{{ row.errors.map((error) => `${t(`table.columns.${error.column}` as TextKey)}: ${error.text}`).join('; ') }}</span>
                </td>
              </tr>
            </template>
          </tbody>
        </table>
      </div>
      <p v-for="(message, field) in form.errors" :key="field" class="ember" role="alert">{{ message }}</p>
      <p v-if="rows.length && !ready" role="status">{{ t('table.faults', { count: faults() }) }}</p>
      <div class="row foot in-sight">
        <PushButton v-if="ready" main :loading="form.processing" data-test="keep-table" @click="keep">{{
          t('table.keep', { count: rows.length })
        }}</PushButton>
        <Link href="/arrive">{{ t('table.one') }}</Link>
        <Link href="/">{{ t('verbs.cancel') }}</Link>
      </div>
    </div>
  </AppShell>
</template>

<style scoped>
.lead {
  max-width: 720px;
}
.file {
  display: inline-flex;
  gap: 12px;
  align-items: center;
  border: 1.5px dashed var(--steel-2);
  padding: 12px 14px;
  border-radius: 3px;
  margin-bottom: 14px;
  flex-wrap: wrap;
}
td,
th {
  white-space: nowrap;
}
td.why {
  white-space: normal;
}
/* In view however far the table is scrolled. */
td.why span {
  display: inline-block;
  position: sticky;
  left: 0;
  max-width: calc(100vw - 76px);
}
tr.faulty td {
  border-bottom: 0;
}
.foot {
  margin-top: 14px;
  gap: 16px;
}
</style>
