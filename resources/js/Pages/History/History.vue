<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { computed } from 'vue'
import FilterBar from '@/components/layout/FilterBar.vue'
import AppShell from '@/components/layout/AppShell.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { isLooking, queryOf } from '@/composables/searchAddress'
import { useHere } from '@/composables/useHere'
import { useFew } from '@/composables/useFew'
import { t } from '@/composables/useText'
import type { HistoryPage } from '@/types/server'

const props = defineProps<HistoryPage>()
const here = useHere()
const few = useFew(() => props.actions, 15)
function show(page: number): void {
  router.get('/history', queryOf({ ...props.search, page }))
}
const looking = computed(() => isLooking(props.search))
</script>

<template>
  <AppShell :title="t('history.title')" at="history">
    <div class="page">
      <h1>{{ t('history.title') }}</h1>
      <FilterBar v-if="months.length" url="/history" :search="search" :bikes="bikes" :chains="chains" :months="months" />
      <p v-if="!actions.length" class="muted" role="status">{{ looking ? t('filter.nothing') : t('history.none') }}</p>
      <ol>
        <li v-for="action in few.shown.value" :key="action.id" data-test="action">
          <span class="when muted">{{ action.when }}</span>
          <span class="what" :class="{ undone: action.undone }"
            >{{ action.sentence }} <span class="muted who">{{ t('history.by') }} {{ action.who }}</span></span
          >
          <span v-if="action.undone" class="muted">{{ t('history.undone') }}</span>
          <Link
            v-else-if="here.mayWrite && !action.stays"
            :href="`/actions/${action.id}/undo`"
            :aria-label="`${t('verbs.undo')}: ${action.sentence}`"
            data-test="undo-action"
            >{{ t('verbs.undo') }}</Link
          >
        </li>
      </ol>
      <PushButton v-if="few.hidden.value" data-test="show-all" @click="few.all.value = true">{{
        t('few.more', { count: few.hidden.value })
      }}</PushButton>
      <div v-if="page > 1 || more" class="row">
        <PushButton v-if="page > 1" @click="show(page - 1)">{{ t('rides.newer') }}</PushButton>
        <PushButton v-if="more" @click="show(page + 1)">{{ t('rides.older') }}</PushButton>
      </div>
    </div>
  </AppShell>
</template>

<style scoped>
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
@media (max-width: 52.49em) {
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
