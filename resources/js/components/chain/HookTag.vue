<script setup lang="ts">
/** The tag on the hook: the chain's letter, filled when it can be ridden as it hangs. */
defineProps<{ label: string; ready: boolean }>()
</script>

<template>
  <span class="tag" :class="{ ready }">{{ label }}</span>
</template>

<style scoped>
.tag {
  display: inline-grid;
  place-items: center;
  min-width: 25px;
  height: 25px;
  padding: 0 4px;
  border: 1.2px solid var(--ink);
  border-radius: 3px;
  background: var(--paper);
  font-weight: 760;
  font-size: var(--type-4);
  line-height: 1;
}
.tag.ready {
  background: var(--ready);
  color: var(--on-ready);
  border-color: var(--ready);
}
</style>
