<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { computed, reactive, ref } from 'vue'
import HourField from '@/components/cost/HourField.vue'
import EmptyState from '@/components/layout/EmptyState.vue'
import AppShell from '@/components/layout/AppShell.vue'
import LineChart from '@/components/charts/LineChart.vue'
import NumberField from '@/components/forms/NumberField.vue'
import SystemSelect from '@/components/forms/SystemSelect.vue'
import { newActionId } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { usePreview } from '@/composables/usePreview'
import { t } from '@/composables/useText'
import type { Comparison, WhatIfPage } from '@/types/server'

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
const { preview, problems } = usePreview<Comparison>(
  'post',
  () => '/ahead/what-if',
  () => ({ ...form, action_id: actionId, hour: props.hour }),
)
const opened = ref<number | null>(null)
const errors = computed(() => Object.values(problems.value))
const years = (count: number) => (count === 1 ? t('what_if.one_year') : t('what_if.years', { count }))
const spans = [1, 2, 3, 4, 5].map((count) => ({ value: count, title: years(count) }))
const chains = [null, 1, 2, 3, 4, 5, 6].map((count) => ({ value: count, title: count === null ? t('what_if.as_now') : String(count) }))
// As the lines of the chart are dashed.
// Nothing can be worked out before a chain was ridden on a bike.
const nobody = computed(() => !props.bikes.length || (preview.value !== null && !preview.value.bike))
</script>

<template>
  <AppShell :title="t('what_if.title')" at="ahead">
    <div class="page">
      <div class="row head">
        <h1>{{ t('what_if.title') }}</h1>
        <Link href="/ahead">{{ t('ahead.title') }}</Link>
      </div>
      <p class="muted">{{ preview?.bike?.rate ?? t('what_if.text') }}</p>
      <EmptyState v-if="nobody" :text="t('what_if.nobody')" href="/rides?log" :verb="t('rides.log')" data-test="nobody" />
      <template v-else>
        <div class="row over">
          <label>{{ t('what_if.over') }} <SystemSelect v-model="form.years" :options="spans" data-test="years" /></label>
          <HourField :hour="hour" />
          <label>{{ t('what_if.curves_of') }} <SystemSelect v-model="form.bike_id" :options="bikes" data-test="bike" /></label>
        </div>
        <p v-if="preview?.unpriced" class="note" role="note">{{ preview.unpriced }}</p>
        <datalist id="intervals">
          <option v-for="one in intervals" :key="one.title" :value="one.value">{{ one.title }}</option>
        </datalist>
        <p v-for="message in errors" :key="message" class="ember" role="alert">{{ message }}</p>
        <section v-if="preview?.differences.length" class="against" aria-labelledby="against" data-test="differences">
          <h2 id="against">{{ preview.against }}</h2>
          <ul>
            <li v-for="difference in preview.differences" :key="difference">{{ difference }}</li>
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
              <tr v-for="(policy, i) in form.policies" :key="i" :class="{ best: preview?.rows[i]?.best }" :data-test="`policy-${i}`">
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
                <template v-if="preview?.rows[i]">
                  <td v-for="figure in FIGURES" :key="figure" class="num">
                    <button
                      type="button"
                      class="figure"
                      :aria-expanded="opened === i"
                      :data-test="`open-${i}-${figure}`"
                      @click="opened = opened === i ? null : i">
                      {{ preview.rows[i].figures[figure] }}
                    </button>
                  </td>
                </template>
              </tr>
            </tbody>
          </table>
        </div>
        <section v-if="opened !== null && preview?.rows[opened]" class="weeks" data-test="weeks">
          <h2>{{ preview.rows[opened]!.name }}: {{ t('what_if.weeks') }}</h2>
          <p v-if="preview.rows[opened]!.forced" class="ember">{{ t('what_if.forced', { count: preview.rows[opened]!.forced }) }}</p>
          <ol tabindex="0" :aria-label="t('what_if.weeks')">
            <li v-for="week in preview.rows[opened]!.weeks" :key="week">{{ week }}</li>
          </ol>
        </section>
        <section v-if="preview?.economy" class="cols" aria-labelledby="economy">
          <LineChart :chart="preview.economy.chart" data-test="economy" />
          <div>
            <h2 id="economy">{{ t('what_if.economy') }}: {{ preview.bike?.name }}</h2>
            <p class="lead">{{ preview.economy.text }}</p>
          </div>
        </section>
        <details>
          <summary>{{ t('strip_plan.why') }}</summary>
          <p class="small">{{ t('what_if.worked_out') }}</p>
        </details>
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
input[type='checkbox'] {
  width: 18px;
  height: 18px;
  accent-color: var(--ink);
}
td,
th {
  white-space: nowrap;
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
.against {
  margin: 10px 0 14px;
}
.against ul {
  margin: 4px 0 0;
  padding-left: 18px;
  font-size: var(--type-4);
  font-weight: 560;
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
