<script setup lang="ts">
import { computed } from 'vue'

/** The head of a column that a table can be ordered by: the first press the largest first, the second the smallest. */
const props = defineProps<{ title: string; column: string; sort: string; num?: boolean }>()
const emit = defineEmits<{ sort: [by: string] }>()
const order = computed(() => (props.sort === props.column ? 'ascending' : props.sort === `-${props.column}` ? 'descending' : 'none'))
const next = () => emit('sort', order.value === 'descending' ? props.column : `-${props.column}`)
</script>

<template>
  <th :class="{ num }" :aria-sort="order">
    <button type="button" :data-test="`sort-${column}`" @click="next">
      {{ title }}<span aria-hidden="true">{{ { ascending: ' ↑', descending: ' ↓', none: '' }[order] }}</span>
    </button>
  </th>
</template>

<style scoped>
button {
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  padding: 0;
  min-height: 32px;
  cursor: pointer;
}
button:hover {
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
