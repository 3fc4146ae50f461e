<script setup lang="ts" generic="T extends string | number | null">
/** The list of the system itself, for rows of many: it opens at once, and is the phone's own wheel. */
defineProps<{ options: readonly { value: T; title: string; disabled?: boolean }[] }>()
const model = defineModel<T>({ required: true })
</script>

<template>
  <select v-model="model" class="slim">
    <option v-for="one in options" :key="String(one.value)" :value="one.value" :disabled="one.disabled">{{ one.title }}</option>
  </select>
</template>

<style scoped>
@media (max-width: 52.49em) {
  select {
    min-height: 44px;
  }
}
</style>
