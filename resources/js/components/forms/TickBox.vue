<script setup lang="ts">
/** A tick that is there or not; the library's own may be neither. */
const on = defineModel<boolean>({ required: true })
</script>

<template>
  <v-checkbox :model-value="on" @update:model-value="on = $event === true" />
</template>
