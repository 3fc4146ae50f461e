<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import SortHead from '@/components/layout/SortHead.vue'
import { t } from '@/composables/useText'

/** Money by something: in groups of rows, what it came to in the last columns; the last group is the sum of all. */
defineProps<{
  by: string
  kinds?: string[]
  groups: { name: string; href?: string; kinds?: string[]; km?: string | null; total: string; per?: string | null }[][]
  narrow?: boolean
  /** The column that its rows are ordered by, where they can be. */
  sort?: string
}>()
const emit = defineEmits<{ sort: [by: string] }>()
const columns = [
  { name: 'km', title: t('money.ridden') },
  { name: 'total', title: t('money.total') },
  { name: 'per', title: t('what_if.per') },
]
</script>

<template>
  <div class="scroll" tabindex="0" role="region" :aria-label="by">
    <table class="plain" :class="{ narrow }">
      <thead>
        <tr>
          <SortHead v-if="sort" column="name" :title="by" :sort="sort" @sort="emit('sort', $event)" />
          <th v-else>{{ by }}</th>
          <th v-for="kind in kinds" :key="kind" class="num">{{ kind }}</th>
          <template v-for="column in columns" :key="column.name">
            <SortHead v-if="sort" :column="column.name" num :title="column.title" :sort="sort" @sort="emit('sort', $event)" />
            <th v-else class="num">{{ column.title }}</th>
          </template>
        </tr>
      </thead>
      <tbody v-for="(group, i) in groups" :key="i">
        <tr v-for="row in group" :key="row.href ?? row.name" :class="{ sum: i === groups.length - 1 }" :data-test="`cost-${row.name}`">
          <th scope="row">
            <Link v-if="row.href" :href="row.href">{{ row.name }}</Link><template v-else>{{ row.name }}</template>
          </th>
          <td v-for="(kind, k) in row.kinds" :key="k" class="num">{{ kind }}</td>
          <td class="num">{{ row.km }}</td>
          <td class="num strong">{{ row.total }}</td>
          <td class="num">{{ row.per }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
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
.narrow {
  max-width: 720px;
}
</style>
