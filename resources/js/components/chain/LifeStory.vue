<script setup lang="ts">
/** The life of a chain in figures. */
defineProps<{ story: { name: string; value: string }[] }>()
</script>

<template>
  <dl data-test="life-story">
    <div v-for="line in story" :key="line.name">
      <dt>{{ line.name }}</dt>
      <dd>{{ line.value }}</dd>
    </div>
  </dl>
</template>

<style scoped>
dl {
  margin: 0;
  max-width: 620px;
  border-top: 1px solid var(--ink);
}
div {
  display: grid;
  grid-template-columns: 130px 1fr;
  gap: 12px;
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
}
dt {
  color: var(--steel);
}
dd {
  margin: 0;
  font-weight: 620;
}
</style>
