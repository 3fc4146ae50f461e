<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { computed } from 'vue'
import AppShell from '@/components/layout/AppShell.vue'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'
import type { HistoryPage } from '@/types/server'

const props = defineProps<HistoryPage>()
const here = useHere()
const bikes = computed(() => [{ value: 0, title: t('history.all_bikes') }, ...props.bikes])
const chains = computed(() => [{ value: 0, title: t('history.all_chains') }, ...props.chains])
function show(page: number, bike: number | null, chain: number | null): void {
  router.get('/history', { ...(bike ? { bike } : {}), ...(chain ? { chain } : {}), ...(page > 1 ? { page } : {}) })
}
</script>

<template>
  <AppShell :title="t('history.title')" at="history">
    <div class="page">
      <div class="row head">
        <h1>{{ t('history.title') }}</h1>
        <span class="grow" />
        <v-select
          :model-value="bike ?? 0"
          :items="bikes"
          :label="t('history.bike')"
          class="filter"
          density="compact"
          @update:model-value="show(1, $event, null)" />
        <v-select
          :model-value="chain ?? 0"
          :items="chains"
          :label="t('history.chain')"
          class="filter"
          density="compact"
          @update:model-value="show(1, null, $event)" />
      </div>
      <p v-if="!actions.length" class="muted">{{ t('history.none') }}</p>
      <ol>
        <li v-for="action in actions" :key="action.id" data-test="action">
          <span class="when muted">{{ action.when }}</span>
          <span class="what" :class="{ undone: action.undone }"
            >{{ action.sentence }} <span class="muted who">{{ t('history.by') }} {{ action.who }}</span></span
          >
          <span v-if="action.undone" class="muted">{{ t('history.undone') }}</span>
          <Link
            v-else-if="here.mayWrite"
            :href="`/actions/${action.id}/undo`"
            :aria-label="`${t('verbs.undo')}: ${action.sentence}`"
            data-test="undo-action"
            >{{ t('verbs.undo') }}</Link
          >
        </li>
      </ol>
      <div v-if="pages > 1" class="row">
        <v-btn v-if="page > 1" @click="show(page - 1, bike, chain)">{{ t('road.newer') }}</v-btn>
        <v-btn v-if="page < pages" @click="show(page + 1, bike, chain)">{{ t('road.older') }}</v-btn>
      </div>
    </div>
  </AppShell>
</template>

<style scoped>
.grow {
  flex: 1;
}
.filter {
  max-width: 190px;
  min-width: 150px;
}
ol {
  list-style: none;
  padding: 0;
  margin: 14px 0;
}
li {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr) auto;
  gap: 14px;
  padding: 7px 0;
  border-bottom: 1px solid var(--line);
}
.what {
  font-weight: 560;
}
.undone {
  text-decoration: line-through;
  font-weight: 400;
}
.who {
  font-weight: 400;
  display: inline-block;
}
@media (max-width: 839.98px) {
  li {
    grid-template-columns: 1fr auto;
  }
  .when {
    grid-column: 1 / -1;
    font-size: var(--type-2);
  }
  li a {
    min-height: 44px;
  }
}
</style>
