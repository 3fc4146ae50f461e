<script setup lang="ts">
import BooksTabs from '@/components/books/BooksTabs.vue'
import BottleShelf from '@/components/books/BottleShelf.vue'
import PriceList from '@/components/books/PriceList.vue'
import SpareLinks from '@/components/books/SpareLinks.vue'
import AppShell from '@/components/layout/AppShell.vue'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'
import type { StockPage } from '@/types/server'

/** What is in stock and what it costs: drip wax, quick links, the price list. */
defineProps<StockPage>()
const here = useHere()
</script>

<template>
  <AppShell :title="t('books.tab.stock')" at="books">
    <div class="page">
      <BooksTabs at="stock" />
      <div class="cols">
        <div class="side">
          <BottleShelf :bottles="bottles" :currency="currency" :today="today" :may-write="here.mayWrite" />
          <SpareLinks :links="links" :currency="currency" :may-write="here.mayWrite" />
        </div>
        <PriceList :prices="prices" :supplies="supplies" :currency="currency" :today="today" :may-write="here.mayWrite" />
      </div>
    </div>
  </AppShell>
</template>

<style scoped>
.cols {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 44px;
  align-items: start;
}
.side {
  display: grid;
  gap: 34px;
}
@media (max-width: 71.56em) {
  .cols {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
