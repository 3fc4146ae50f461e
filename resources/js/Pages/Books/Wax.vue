<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import BookEntries from '@/components/books/BookEntries.vue'
import BooksTabs from '@/components/books/BooksTabs.vue'
import LineChart from '@/components/charts/LineChart.vue'
import AppShell from '@/components/layout/AppShell.vue'
import { useHere } from '@/composables/useHere'
import PhoneFold from '@/components/layout/PhoneFold.vue'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { WaxBooksPage } from '@/types/server'

/** The records of each pot and each jar: what was in it, and what was done. */
defineProps<WaxBooksPage>()
const here = useHere()
const remove = (type: string, id: number) => write('delete', `/entries/${type}/${id}`)
</script>

<template>
  <AppShell :title="t('books.tab.wax')" at="books">
    <div class="page">
      <BooksTabs at="wax" />
      <p v-if="!pots.length && !jars.length" class="muted">
        {{ t('books.wax_empty') }} <Link href="/pot">{{ t('books.to_pot') }}</Link>
      </p>
      <article v-for="pot in pots" :key="pot.id" :aria-labelledby="`pot-${pot.id}`" :data-test="`book-${pot.name}`">
        <h2 :id="`pot-${pot.id}`">{{ pot.name }}</h2>
        <p>
          <b>{{ pot.holds }}</b> <span class="muted">{{ pot.about }}</span>
        </p>
        <PhoneFold v-if="pot.wax && pot.dirt" :title="t('books.curves')"
          ><div class="pair">
            <LineChart :chart="pot.wax" :high="200" />
            <LineChart :chart="pot.dirt" :high="200" /></div
        ></PhoneFold>
        <BookEntries
          :title="t('books.entries', { count: pot.entries.length })"
          :entries="pot.entries"
          :may-write="here.mayWrite"
          @remove="remove('bath_entries', $event)" />
      </article>
      <h2 v-if="jars.length" class="jars">{{ t('jars.title') }}</h2>
      <div class="pair">
        <article v-for="jar in jars" :key="jar.id" :aria-labelledby="`jar-${jar.id}`" :data-test="`book-${jar.name}`">
          <h3 :id="`jar-${jar.id}`" class="wide">{{ jar.name }}</h3>
          <p class="muted">{{ jar.holds }}</p>
          <BookEntries
            :title="t('books.entries', { count: jar.entries.length })"
            :entries="jar.entries"
            :may-write="here.mayWrite"
            @remove="remove('jar_entries', $event)" />
        </article>
      </div>
    </div>
  </AppShell>
</template>

<style scoped>
article {
  margin-bottom: 26px;
}
h3,
p {
  margin: 0 0 6px;
}
h3 {
  font-size: var(--type-4);
}
.jars {
  margin: 8px 0 12px;
}
.pair {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0 40px;
}
@media (max-width: 52.49em) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
