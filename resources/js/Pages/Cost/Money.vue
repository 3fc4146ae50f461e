<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { computed } from 'vue'
import BooksTabs from '@/components/books/BooksTabs.vue'
import HourField from '@/components/cost/HourField.vue'
import MoneyTable from '@/components/cost/MoneyTable.vue'
import LineChart from '@/components/charts/LineChart.vue'
import NumberField from '@/components/forms/NumberField.vue'
import InTurn from '@/components/layout/InTurn.vue'
import EmptyState from '@/components/layout/EmptyState.vue'
import AppShell from '@/components/layout/AppShell.vue'
import { useActionForm } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import PhoneFold from '@/components/layout/PhoneFold.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'
import type { MoneyPage } from '@/types/server'

/** What it all costs: beside plain drip, by year, by bike, by chain. */
const props = defineProps<MoneyPage>()
const here = useHere()
const { form, submit } = useActionForm({ as_wax: props.plain.as_wax, every: props.plain.every })
const order = (by: string) =>
  router.get('/books/money', { sort: by }, { preserveScroll: true, preserveState: true, only: ['chains', 'sort'] })
const ofChains = computed(() =>
  props.chains.map((chain) => ({ ...chain, href: `/chains/${chain.id}`, per: chain.used ? t('money.paid_before') : chain.per })),
)
</script>

<template>
  <AppShell :title="t('money.title')" at="books" whose>
    <div class="page">
      <BooksTabs at="money"
        ><Link href="/ahead/what-if">{{ t('what_if.title') }}</Link></BooksTabs
      >
      <p class="muted">{{ t('money.text') }}</p>
      <p v-if="here.whose === 'mine'" data-test="mine">{{ t('money.mine') }}</p>
      <p v-if="unpriced && (chart || years.length)" class="note" role="note">
        {{ unpriced }} <Link v-if="here.mayWrite" href="/books/stock#set" data-test="to-price">{{ t('books.set_price') }}</Link>
      </p>
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
            <PushButton type="submit" :loading="form.processing" data-test="save-plain">{{ t('money.keep') }}</PushButton>
          </form>
          <p v-for="message in form.errors" :key="message" class="ember" role="alert">{{ message }}</p>
          <p class="small">{{ plain.lives }}</p>
          <div class="row">
            <span data-test="work">{{ work.text }}</span> <HourField :hour="work.hour" />
          </div>
        </div>
        <div>
          <InTurn>
            <LineChart :chart="chart.chart" :high="230" />
            <InTurn><LineChart v-if="months" :chart="months" :high="170" data-test="months" /></InTurn>
          </InTurn>
        </div>
      </section>
      <EmptyState v-else :text="t('money.none')" href="/books/stock#set" :verb="t('books.set_price')" />
      <InTurn v-if="chart || years.length">
        <MoneyTable :by="t('money.by')" :kinds="kinds" :groups="[years, bikes, [all]]" />
        <template v-if="riders.length">
          <h2>{{ t('money.by_rider') }}</h2>
          <MoneyTable :by="t('riders.rider')" :kinds="kinds" :groups="[riders, [all]]" />
        </template>
        <InTurn
          ><PhoneFold :title="t('money.chains')">
            <h2>{{ t('money.chains') }}</h2>
            <MoneyTable narrow :sort="sort" :by="t('money.chain')" :groups="[ofChains, beside, [{ ...all, kinds: [] }]]" @sort="order" />
          </PhoneFold>
          <details>
            <summary>{{ t('strip_plan.why') }}</summary>
            <p class="small">{{ t('money.worked_out') }}</p>
          </details></InTurn
        >
      </InTurn>
    </div>
  </AppShell>
</template>

<style scoped>
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
h2:not([id]) {
  margin-top: 26px;
}
@media (max-width: 71.56em) {
  .against {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
