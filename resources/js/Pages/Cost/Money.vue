<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import HourField from '@/components/cost/HourField.vue'
import LineChart from '@/components/charts/LineChart.vue'
import NumberField from '@/components/forms/NumberField.vue'
import AppShell from '@/components/layout/AppShell.vue'
import { useActionForm } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'
import type { MoneyPage } from '@/types/server'

/** What it all costs: beside plain drip, by year, by bike, by chain. */
const props = defineProps<MoneyPage>()
const here = useHere()
const { form, submit } = useActionForm({ as_wax: props.plain.as_wax, every: props.plain.every })
</script>

<template>
  <AppShell :title="t('money.title')" at="books">
    <div class="page">
      <div class="row head">
        <h1>{{ t('money.title') }}</h1>
        <Link href="/books">{{ t('nav.books') }}</Link>
        <Link href="/ahead/what-if">{{ t('what_if.title') }}</Link>
      </div>
      <p class="muted">{{ t('money.text') }}</p>
      <p v-if="unpriced" class="note" role="note">{{ unpriced }}</p>
      <section v-if="chart" class="against" aria-labelledby="against">
        <div>
          <h2 id="against">{{ t('money.against') }}</h2>
          <p data-test="against">{{ chart.text }}</p>
          <form class="row" @submit.prevent="submit('put', '/books/money')">
            <label
              >{{ t('money.as_wax') }}
              <NumberField v-model="form.as_wax" slim size="4" name="as_wax" :error-messages="form.errors.as_wax" />
              {{ t('money.times_as_long') }}</label
            >
            <label
              >{{ t('money.every') }}
              <NumberField v-model="form.every" slim size="4" name="every" :error-messages="form.errors.every" />
              {{ here.distanceUnit }}</label
            >
            <v-btn type="submit" :loading="form.processing" data-test="save-plain">{{ t('money.keep') }}</v-btn>
          </form>
          <p v-for="message in form.errors" :key="message" class="ember" role="alert">{{ message }}</p>
          <p class="small">{{ plain.lives }}</p>
          <div class="row">
            <span data-test="work">{{ work.text }}</span> <HourField :hour="work.hour" />
          </div>
        </div>
        <LineChart :chart="chart.chart" />
      </section>
      <p v-else class="muted">{{ t('money.none') }}</p>
      <div class="scroll" tabindex="0" role="region" :aria-label="t('money.by')">
        <table class="plain">
          <thead>
            <tr>
              <th>{{ t('money.by') }}</th>
              <th v-for="kind in kinds" :key="kind" class="num">{{ kind }}</th>
              <th class="num">{{ t('money.total') }}</th>
              <th class="num">{{ t('money.ridden') }}</th>
              <th class="num">{{ t('what_if.per') }}</th>
            </tr>
          </thead>
          <tbody v-for="(group, i) in [years, bikes, [all]]" :key="i">
            <tr v-for="row in group" :key="row.name" :class="{ sum: i === 2 }" :data-test="`cost-${row.name}`">
              <th scope="row">{{ row.name }}</th>
              <td v-for="(kind, k) in row.kinds" :key="k" class="num">{{ kind }}</td>
              <td class="num strong">{{ row.total }}</td>
              <td class="num">{{ row.km }}</td>
              <td class="num">{{ row.per }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <h2>{{ t('money.chains') }}</h2>
      <div class="scroll" tabindex="0" role="region" :aria-label="t('money.chains')">
        <table class="plain narrow">
          <thead>
            <tr>
              <th>{{ t('money.chain') }}</th>
              <th class="num">{{ t('money.ridden') }}</th>
              <th class="num">{{ t('money.total') }}</th>
              <th class="num">{{ t('what_if.per') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="chain in chains" :key="chain.id">
              <th scope="row">
                <Link :href="`/chains/${chain.id}`">{{ chain.name }}</Link>
              </th>
              <td class="num">{{ chain.km }}</td>
              <td class="num strong">{{ chain.total }}</td>
              <td class="num">{{ chain.used ? t('money.paid_before') : chain.per }}</td>
            </tr>
          </tbody>
          <tbody>
            <tr v-for="row in beside" :key="row.name">
              <th scope="row">{{ row.name }}</th>
              <td></td>
              <td class="num strong">{{ row.total }}</td>
              <td></td>
            </tr>
            <tr class="sum" data-test="chains-sum">
              <th scope="row">{{ all.name }}</th>
              <td class="num">{{ all.km }}</td>
              <td class="num">{{ all.total }}</td>
              <td class="num">{{ all.per }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <details>
        <summary>{{ t('strip_plan.why') }}</summary>
        <p class="small">{{ t('money.worked_out') }}</p>
      </details>
    </div>
  </AppShell>
</template>

<style scoped>
.head {
  gap: 18px;
  align-items: baseline;
}
.against {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
  gap: 36px;
  align-items: start;
  margin: 18px 0 26px;
}
.against form {
  gap: 8px 18px;
  margin-top: 12px;
}
th,
td {
  white-space: nowrap;
}
th[scope] {
  text-align: left;
  font-size: var(--type-3);
  font-weight: 480;
  color: var(--ink);
  border-bottom: 1px solid var(--line);
}
tbody + tbody tr:first-child > * {
  border-top: 1px solid var(--steel-2);
}
tr.sum > * {
  font-weight: 680;
}
h2:not([id]) {
  margin-top: 26px;
}
.narrow {
  max-width: 720px;
}
@media (max-width: 1144.98px) {
  .against {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 599.98px) {
  text {
    font-size: var(--type-5);
  }
}
</style>
