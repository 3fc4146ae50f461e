<script setup lang="ts">
import { computed, ref } from 'vue'
import ActionDialog from '@/components/forms/ActionDialog.vue'
import NumberField from '@/components/forms/NumberField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { BooksPage } from '@/types/server'

/** What things cost, each price from its day on. */
const props = defineProps<Pick<BooksPage, 'prices' | 'supplies'> & { currency: string; today: string; mayWrite: boolean }>()
const open = ref(false)
const { form: price, submit: sendPrice } = useActionForm({ supply: 'chain', amount: '', quantity: '1', date: props.today })
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
      <v-btn v-if="mayWrite" size="small" data-test="set-price" @click="open = true">{{ t('books.set_price') }}</v-btn>
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
            <span class="sr">{{ t('verbs.delete') }}</span>
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
      :title="t('books.set_price')"
      :verb="t('books.set_price')"
      :busy="price.processing"
      :errors="price.errors"
      :known="['supply', 'amount', 'quantity', 'date']"
      test="price-form"
      @submit="sendPrice('post', '/prices', () => (open = false))">
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
      <v-text-field v-model="price.date" type="date" :label="t('books.from')" :error-messages="price.errors.date" name="date" />
    </ActionDialog>
  </section>
</template>

<style scoped>
p {
  margin: 4px 0 10px;
}
</style>
