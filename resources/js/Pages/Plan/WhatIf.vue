<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { computed, reactive, ref, shallowRef } from 'vue'
import HourField from '@/components/cost/HourField.vue'
import EmptyState from '@/components/layout/EmptyState.vue'
import AppShell from '@/components/layout/AppShell.vue'
import LineChart from '@/components/charts/LineChart.vue'
import NumberField from '@/components/forms/NumberField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import SystemSelect from '@/components/forms/SystemSelect.vue'
import { newActionId } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { useRefined } from '@/composables/useRefined'
import { t } from '@/composables/useText'
import type { ComparedAll, ComparedPart, ComparedRow, Economy, WhatIfPage } from '@/types/server'

/** Policies side by side: what each interval, number of chains and order comes to over the years. */
const FIGURES = ['life', 'bought', 'cassettes', 'pot_days', 'topups', 'hours', 'wax', 'solvents', 'money', 'per'] as const
const props = defineProps<WhatIfPage>()
const here = useHere()
const form = reactive({
  years: 5,
  bike_id: props.bikes[0]?.value ?? null,
  policies: props.policies.map((one) => ({ ...one })),
})
const actionId = newActionId()
const rows = ref<Record<number, ComparedRow>>({})
const all = shallowRef<ComparedAll | null>(null)
const economy = shallowRef<Economy | null>(null)
const progress = ref({ done: 0, of: 1 })
const { underWay, problems, stop, again } = useRefined<ComparedPart>(
  '/ahead/what-if',
  () => ({ ...form, action_id: actionId, hour: props.hour }),
  () => (rows.value = {}),
  (part) => {
    progress.value = { done: part.done, of: part.of }
    if (part.at !== null && part.row) rows.value[part.at] = part.row
    all.value = part.all ?? all.value
    economy.value = part.economy ?? economy.value
  },
)
const rough = computed(() => Object.values(rows.value).some((row) => row.rough))
const stopped = computed(() => !underWay.value && progress.value.done < progress.value.of)
const far = computed(() => t('what_if.under_way', progress.value))
const opened = ref<number | null>(null)
const errors = computed(() => Object.values(problems.value))
const years = (count: number) => (count === 1 ? t('what_if.one_year') : t('what_if.years', { count }))
const spans = [1, 2, 3, 4, 5].map((count) => ({ value: count, title: years(count) }))
const chains = [null, 1, 2, 3, 4, 5, 6].map((count) => ({ value: count, title: count === null ? t('what_if.as_now') : String(count) }))
// Nothing can be worked out before a chain was ridden on a bike.
const nobody = computed(() => !props.bikes.length || (all.value !== null && !all.value.bike))
</script>

<template>
  <AppShell :title="t('what_if.title')" at="ahead">
    <div class="page">
      <div class="row head">
        <h1>{{ t('what_if.title') }}</h1>
        <Link href="/ahead">{{ t('ahead.title') }}</Link>
      </div>
      <p class="muted">{{ t('what_if.text') }}</p>
      <EmptyState v-if="nobody" :text="t('what_if.nobody')" href="/rides?log" :verb="t('rides.log')" data-test="nobody" />
      <template v-else>
        <div class="row over">
          <label>{{ t('what_if.over') }} <SystemSelect v-model="form.years" :options="spans" data-test="years" /></label>
          <HourField :hour="hour" />
          <label>{{ t('what_if.curves_of') }} <SystemSelect v-model="form.bike_id" :options="bikes" data-test="bike" /></label>
        </div>
        <div class="row way" role="status" data-test="way">
          <progress :value="progress.done" :max="progress.of" :aria-label="far" />
          <span>{{ underWay || stopped ? far : t('what_if.all_done') }}</span>
          <PushButton v-if="underWay" data-test="stop" @click="stop">{{ t('what_if.stop') }}</PushButton>
          <PushButton v-else-if="stopped" data-test="again" @click="again">{{ t('what_if.again') }}</PushButton>
        </div>
        <datalist id="intervals">
          <option v-for="one in intervals" :key="one.title" :value="one.value">{{ one.title }}</option>
        </datalist>
        <p v-for="message in errors" :key="message" class="ember" role="alert">{{ message }}</p>
        <section v-if="form.policies.length > 1" class="against" aria-labelledby="against" data-test="differences">
          <h2 id="against">{{ all?.against ?? '…' }}</h2>
          <ul>
            <li v-for="i in form.policies.length - 1" :key="i">{{ all?.differences[i - 1] ?? '…' }}</li>
          </ul>
        </section>
        <div class="scroll" tabindex="0" role="region" :aria-label="t('what_if.title')">
          <table class="plain" data-test="policies">
            <thead>
              <tr>
                <th>{{ t('what_if.interval') }}</th>
                <th>{{ t('what_if.chains_each') }}</th>
                <th>{{ t('what_if.order') }}</th>
                <th>{{ t('what_if.limit') }}</th>
                <th>{{ t('what_if.drip') }}</th>
                <th v-for="figure in FIGURES" :key="figure" class="num">{{ t(`what_if.${figure}`) }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(policy, i) in form.policies" :key="i" :class="{ best: all?.best.includes(i) }" :data-test="`policy-${i}`">
                <td class="nowrap">
                  <NumberField
                    v-model="policy.interval"
                    slim
                    size="4"
                    list="intervals"
                    :aria-label="`${t('what_if.interval')} ${i + 1}`"
                    :name="`interval-${i}`" />
                  {{ here.distanceUnit }}
                </td>
                <td>
                  <SystemSelect
                    v-model="policy.chains"
                    :options="chains"
                    :aria-label="`${t('what_if.chains_each')} ${i + 1}`"
                    :data-test="`chains-${i}`" />
                </td>
                <td>
                  <SystemSelect v-model="policy.rotation" :options="rotations" :aria-label="`${t('what_if.order')} ${i + 1}`" />
                </td>
                <td>
                  <SystemSelect
                    v-model="policy.limit"
                    :options="[{ value: null, title: t('what_if.own') }, ...limits]"
                    :aria-label="`${t('what_if.limit')} ${i + 1}`" />
                </td>
                <td>
                  <label class="tick"
                    ><input v-model="policy.drip_only" type="checkbox" :aria-label="`${t('what_if.drip')} ${i + 1}`"
                  /></label>
                </td>
                <td v-for="figure in FIGURES" :key="figure" :class="['num', figure]">
                  <button
                    v-if="rows[i]"
                    type="button"
                    class="figure"
                    :aria-expanded="opened === i"
                    :data-test="`open-${i}-${figure}`"
                    @click="opened = opened === i ? null : i">
                    <span v-if="figure === 'life'" :class="{ known: !rows[i].rough }">≈ </span>{{ rows[i].figures[figure] }}
                  </button>
                  <span v-else class="muted">…</span>
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <p class="rough muted">{{ rough ? t('what_if.rough') : '' }}</p>
        <section v-if="opened !== null && rows[opened]" class="weeks" data-test="weeks">
          <h2>{{ rows[opened]!.name }}: {{ t('what_if.weeks') }}</h2>
          <p v-if="rows[opened]!.forced" class="ember">{{ t('what_if.forced', { count: rows[opened]!.forced }) }}</p>
          <ol tabindex="0" :aria-label="t('what_if.weeks')">
            <li v-for="week in rows[opened]!.weeks" :key="week">{{ week }}</li>
          </ol>
        </section>
        <details>
          <summary>{{ t('strip_plan.why') }}</summary>
          <p class="small">{{ t('what_if.worked_out') }}</p>
        </details>
        <p v-if="all?.bike" class="muted">{{ all.bike.rate }}</p>
        <p v-for="note in all?.notes" :key="note" class="note" role="note">{{ note }}</p>
        <section v-if="economy" class="cols" aria-labelledby="economy">
          <LineChart :chart="economy.chart" data-test="economy" />
          <div>
            <h2 id="economy">{{ t('what_if.economy') }}: {{ all?.bike?.name }}</h2>
            <p class="lead">{{ economy.text }}</p>
          </div>
        </section>
      </template>
    </div>
  </AppShell>
</template>

<style scoped>
.tick {
  display: inline-grid;
  place-items: center;
}
@media (max-width: 52.49em) {
  .tick {
    min-width: 44px;
    min-height: 44px;
  }
}
.head {
  gap: 18px;
  align-items: baseline;
}
.over {
  gap: 10px 22px;
  margin: 10px 0;
}
.way {
  gap: 6px 12px;
  min-height: 44px;
  margin: 6px 0;
}
progress {
  appearance: none;
  width: 160px;
  height: 8px;
  border: 1.5px solid var(--ink);
  background: var(--paper);
}
progress::-webkit-progress-bar {
  background: var(--paper);
}
progress::-webkit-progress-value,
progress::-moz-progress-bar {
  background: var(--amber);
}
input[type='checkbox'] {
  width: 18px;
  height: 18px;
  accent-color: var(--ink);
}
/* Figures come one after the other: what they will take is kept free. */
.rough {
  min-height: 1lh;
  margin: 4px 0;
}
.known {
  visibility: hidden;
}
td,
th {
  white-space: nowrap;
}
tbody tr {
  height: 46px;
}
tbody .num {
  min-width: 7ch;
}
tbody .life {
  min-width: 15ch;
}
tbody .money,
tbody .per {
  min-width: 9ch;
}
td select {
  max-width: 112px;
}
tr.best td {
  font-weight: 680;
  background: var(--paper);
}
.figure {
  font: inherit;
  color: inherit;
  padding: 4px 0;
  border: 0;
  background: none;
  cursor: pointer;
  text-decoration: underline dotted var(--steel-2);
  text-underline-offset: 3px;
}
@media (max-width: 52.49em) {
  .figure {
    min-width: 44px;
    min-height: 44px;
    text-align: right;
  }
}
.against {
  margin: 10px 0 14px;
}
.against ul {
  margin: 4px 0 0;
  padding-left: 18px;
  font-size: var(--type-4);
  font-weight: 560;
}
@media (max-width: 52.49em) {
  .rough {
    min-height: 3lh;
  }
  .way {
    min-height: 70px;
  }
  .against li {
    min-height: 2lh;
  }
}
.weeks {
  margin: 14px 0;
}
.weeks ol {
  max-height: 260px;
  overflow-y: auto;
  padding-left: 0;
  list-style: none;
  background: var(--paper);
  border: 1px solid var(--line);
}
.weeks li {
  padding: 4px 12px;
  border-bottom: 1px solid var(--line);
  font-size: var(--type-2);
}
.lead {
  font-size: var(--type-4);
}
.cols {
  align-items: start;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 40px;
  margin: 22px 0;
}
@media (max-width: 71.56em) {
  .cols {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
