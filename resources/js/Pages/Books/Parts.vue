<script setup lang="ts">
import BooksTabs from '@/components/books/BooksTabs.vue'
import AppShell from '@/components/layout/AppShell.vue'
import PartLife from '@/components/wear/PartLife.vue'
import { t } from '@/composables/useText'
import type { PartsPage } from '@/types/server'

/** Cassettes, chainrings and jockey wheels: what each ran and cost. */
defineProps<PartsPage>()
</script>

<template>
  <AppShell :title="t('books.tab.parts')" at="books">
    <div class="page">
      <BooksTabs at="parts" />
      <p class="muted">{{ parts.length ? t('books.parts_text') : t('books.no_parts') }}</p>
      <ul v-if="parts.length">
        <li v-for="part in parts" :key="part.id">
          <PartLife :part="part" /><span class="muted small where"
            >{{ part.where }}<b v-if="part.price">{{ part.price }}</b></span
          >
        </li>
      </ul>
    </div>
  </AppShell>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 12px 0 0;
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0 44px;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
.where {
  text-align: right;
}
.where b {
  display: block;
}
@media (max-width: 52.49em) {
  ul {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
