<script setup lang="ts">
import { computed } from 'vue'
import PageTabs from '@/components/layout/PageTabs.vue'
import { t } from '@/composables/useText'

/** The parts of the books. */
defineProps<{ at: 'wax' | 'stock' | 'parts' | 'money' }>()
const tabs = computed(() =>
  (['wax', 'stock', 'parts', 'money'] as const).map((part) => ({
    href: part === 'wax' ? '/books' : `/books/${part}`,
    title: t(`books.tab.${part}`),
    test: part,
  })),
)
</script>

<template>
  <PageTabs :title="t('books.title')" :label="t('books.parts_of')" :tabs="tabs" :at="at"><slot /></PageTabs>
</template>
