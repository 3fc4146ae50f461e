<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { computed, reactive, ref } from 'vue'
import PushButton from '@/components/layout/PushButton.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import AppShell from '@/components/layout/AppShell.vue'
import { usePreview } from '@/composables/usePreview'
import { choicesOf, t } from '@/composables/useText'
import type { RideTablePage, RideTablePreview } from '@/types/server'

/** A table of rides: which column holds what, and what comes of it. */
const props = defineProps<RideTablePage>()
const at = reactive<Record<string, number | null>>({
  ...Object.fromEntries(props.columns.map((column) => [column.value, null])),
  ...props.proposed.at,
})
const form = reactive({
  distance: props.proposed.distance,
  duration: props.proposed.duration,
  days: props.proposed.day_first ? 'day_first' : 'month_first',
})
const said = () => ({ at: { ...at }, distance: form.distance, duration: form.duration, day_first: form.days === 'day_first' })
const { preview, problems } = usePreview<RideTablePreview>('post', () => `/ride-imports/${props.import.id}/preview`, said)
const choices = computed(() => [{ value: null, title: t('ride_table.none') }, ...props.header])
const days = choicesOf(['day_first', 'month_first'], (value) => `ride_table.${value}`)
const reading = ref(false)
const refused = ref<Record<string, string>>({})
const errors = computed(() => Object.values({ ...problems.value, ...refused.value }))
const read = () =>
  router.post(`/ride-imports/${props.import.id}/read`, said(), {
    onStart: () => (reading.value = true),
    onFinish: () => (reading.value = false),
    onError: (found) => (refused.value = found),
  })
const putAside = () => router.delete(`/ride-imports/${props.import.id}`)
</script>

<template>
  <AppShell :title="t('ride_table.title')" at="rides">
    <div class="page">
      <h1>{{ t('ride_table.title') }}</h1>
      <p class="muted">{{ proposed.remembered ? t('ride_table.remembered') : t('ride_table.text') }}</p>
      <p>
        <b>{{ props.import.name }}</b>, {{ props.import.rows }}
      </p>
      <div class="scroll">
        <table class="plain">
          <thead>
            <tr>
              <th v-for="column in header" :key="column.value">{{ column.title }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, i) in sample" :key="i">
              <td v-for="column in header" :key="column.value">{{ row[column.value] }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <form class="cols" novalidate @submit.prevent="read">
        <div class="fields">
          <div v-for="column in columns" :key="column.value" class="two">
            <v-select
              v-model="at[column.value]"
              :items="choices"
              :label="column.title"
              density="compact"
              hide-details
              :data-test="`column-${column.value}`" />
            <v-select
              v-if="column.value === 'distance' || column.value === 'duration'"
              v-model="form[column.value]"
              :items="units[column.value]"
              :label="t('ride_table.unit')"
              density="compact"
              hide-details
              :data-test="`unit-${column.value}`" />
          </div>
          <TapChoice v-model="form.days" :legend="t('ride_table.first')" :options="days" test="days" />
        </div>
        <div class="sheet" aria-live="polite">
          <h2>{{ t('ride_table.comes') }}</h2>
          <template v-if="preview">
            <p data-test="comes">
              <b>{{ preview.count }}</b>
            </p>
            <ul>
              <li v-for="(ride, i) in preview.rides" :key="i">{{ ride }}</li>
            </ul>
            <p v-if="preview.faulty" class="ember" data-test="faulty">{{ preview.faulty }}</p>
            <ul class="small">
              <li v-for="fault in preview.faults" :key="fault">{{ fault }}</li>
            </ul>
          </template>
          <p v-for="message in errors" :key="message" class="ember" role="alert">{{ message }}</p>
          <div class="row">
            <PushButton type="submit" main :disabled="!preview?.rides.length" :loading="reading" data-test="read">{{
              t('ride_table.read')
            }}</PushButton>
            <PushButton data-test="put-aside" @click="putAside">{{ t('tracks.put_aside') }}</PushButton>
            <Link href="/tracks">{{ t('verbs.cancel') }}</Link>
          </div>
        </div>
      </form>
    </div>
  </AppShell>
</template>

<style scoped>
.scroll {
  margin: 10px 0 18px;
}
td,
th {
  white-space: nowrap;
  max-width: 240px;
  overflow: hidden;
  text-overflow: ellipsis;
}
.cols {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
  gap: 36px;
  align-items: start;
}
ul {
  list-style: none;
  padding: 0;
  margin: 6px 0 12px;
}
li {
  padding: 3px 0;
  border-bottom: 1px solid var(--line);
}
p {
  margin: 4px 0;
}
.row {
  gap: 14px;
  margin-top: 10px;
}
@media (max-width: 71.56em) {
  .cols {
    grid-template-columns: minmax(0, 1fr);
    gap: 22px;
  }
}
</style>
