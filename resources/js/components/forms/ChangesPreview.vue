<script setup lang="ts">
import { t } from '@/composables/useText'
import type { ChangedChain } from '@/types/server'

/** Every figure that would change, of every chain concerned, before it is done. */
defineProps<{ chains: ChangedChain[] | null }>()
</script>

<template>
  <div v-if="chains" class="changes" role="status" data-test="changes">
    <p v-if="!chains.length" class="muted">{{ t('changes.none') }}</p>
    <table v-for="chain in chains" :key="chain.chain" class="plain">
      <caption>
        {{
          chain.chain
        }}
      </caption>
      <thead class="sr">
        <tr>
          <th>{{ t('changes.figure') }}</th>
          <th>{{ t('changes.now') }}</th>
          <th>{{ t('changes.then') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in chain.lines" :key="line.name">
          <td class="muted">{{ line.name }}</td>
          <td class="num before">{{ line.before }}</td>
          <td class="num">
            <b>{{ line.after }}</b>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.changes {
  display: grid;
  gap: 10px;
}
caption {
  text-align: left;
  font-weight: 680;
  padding-bottom: 2px;
}
td.plain {
  padding: 3px 0;
}
.before {
  color: var(--steel);
  text-decoration: line-through;
}
p {
  margin: 0;
}
</style>
