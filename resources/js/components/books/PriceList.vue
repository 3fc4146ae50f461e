<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import DateField from '@/components/forms/DateField.vue'
import ActionDialog from '@/components/forms/ActionDialog.vue'
import NumberField from '@/components/forms/NumberField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { PriceLine, StockPage } from '@/types/server'

/** What things cost, each price from its day on. */
const props = defineProps<Pick<StockPage, 'prices' | 'supplies'> & { currency: string; today: string; mayWrite: boolean }>()
const open = ref(false)
const seen = ref<number | null>(null)
const { form: price, submit: sendPrice } = useActionForm({ supply: 'chain', amount: '', quantity: '1', date: props.today })
/** A new price starts empty; one that is put right starts as it is. */
function show(row: PriceLine | null): void {
  seen.value = row?.id ?? null
  Object.assign(price, row?.values ?? { supply: 'chain', amount: '', quantity: '1', date: props.today })
  price.clearErrors()
  open.value = true
}
// Another page sends here to set one.
onMounted(() => props.mayWrite && location.hash === '#set' && show(null))
const save = () =>
  sendPrice(seen.value === null ? 'post' : 'put', seen.value === null ? '/prices' : `/prices/${seen.value}`, () => (open.value = false))
const supply = computed(() => props.supplies.find((other) => other.value === price.supply))
function chooseSupply(value: string): void {
  price.supply = value
  price.quantity = supply.value?.usual ?? '1'
}
</script>

<template>
  <section aria-labelledby="prices">
    <div class="row between">
      <h2 id="prices">{{ t('books.prices') }}</h2>
      <PushButton v-if="mayWrite" data-test="set-price" @click="show(null)">{{ t('books.set_price') }}</PushButton>
    </div>
    <p class="muted small">{{ prices.length ? t('books.prices_text') : t('books.no_prices') }}</p>
    <table v-if="prices.length" class="plain">
      <thead>
        <tr>
          <th>{{ t('books.supply') }}</th>
          <th class="num">{{ t('books.amount') }}</th>
          <th>{{ t('books.quantity') }}</th>
          <th>{{ t('books.from') }}</th>
          <th v-if="mayWrite">
            <span class="sr">{{ t('verbs.edit') }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in prices" :key="row.id" :data-test="`price-${row.supply}`">
          <td>{{ row.supply }}</td>
          <td class="num">
            <b>{{ row.amount }}</b>
          </td>
          <td>{{ row.quantity }}</td>
          <td class="muted">{{ row.from }}</td>
          <td v-if="mayWrite" class="num">
            <button
              type="button"
              class="as-link quiet"
              :aria-label="`${t('verbs.edit')}: ${row.supply}, ${row.from}`"
              :data-test="`edit-price-${row.id}`"
              @click="show(row)">
              {{ t('verbs.edit') }}
            </button>
            <button
              type="button"
              class="as-link quiet"
              :aria-label="`${t('verbs.delete')}: ${row.supply}, ${row.from}`"
              @click="write('delete', `/entries/prices/${row.id}`)">
              {{ t('verbs.delete') }}
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <ActionDialog
      v-if="mayWrite && open"
      v-model="open"
      :title="t(seen === null ? 'books.set_price' : 'books.edit_price')"
      :verb="t(seen === null ? 'books.set_price' : 'books.save_price')"
      :busy="price.processing"
      :errors="price.errors"
      :known="['supply', 'amount', 'quantity', 'date']"
      test="price-form"
      @submit="save">
      <v-select
        :model-value="price.supply"
        :items="supplies"
        :label="t('books.supply')"
        :error-messages="price.errors.supply"
        data-test="supply"
        @update:model-value="chooseSupply" />
      <div class="two">
        <NumberField
          v-model="price.amount"
          :label="t('books.amount')"
          :unit="currency"
          :error-messages="price.errors.amount"
          name="amount" />
        <NumberField
          v-model="price.quantity"
          :label="t('books.quantity')"
          :unit="supply?.unit"
          :error-messages="price.errors.quantity"
          name="quantity" />
      </div>
      <DateField v-model="price.date" :label="t('books.from')" :error-messages="price.errors.date" name="date" />
    </ActionDialog>
  </section>
</template>

<style scoped>
p {
  margin: 4px 0 10px;
}
</style>
