<script setup lang="ts">
import { t } from '@/composables/useText'

/** What was done with a jar or a pot, folded away until asked for. */
defineProps<{ title: string; entries: { id: number; day: string; text: string }[]; mayWrite: boolean }>()
const emit = defineEmits<{ remove: [entry: number] }>()
</script>

<template>
  <details v-if="entries.length">
    <summary>{{ title }}</summary>
    <ul>
      <li v-for="entry in entries" :key="entry.id">
        <span class="muted">{{ entry.day }}</span> {{ entry.text }}
        <button
          v-if="mayWrite"
          type="button"
          :aria-label="`${t('verbs.delete')}: ${entry.text}, ${entry.day}`"
          @click="emit('remove', entry.id)">
          {{ t('verbs.delete') }}
        </button>
      </li>
    </ul>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  font-size: var(--type-2);
  min-height: 26px;
  text-decoration: underline;
  text-underline-offset: 3px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  font-size: var(--type-2);
}
li button {
  font: inherit;
  color: var(--steel);
  background: none;
  border: 0;
  min-height: 26px;
  text-decoration: underline;
  cursor: pointer;
}
</style>
