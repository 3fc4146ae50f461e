<script setup lang="ts">
import DoorFrame from '@/components/layout/DoorFrame.vue'
import { t } from '@/composables/useText'

defineProps<{ status: number }>()
</script>

<template>
  <DoorFrame :title="t(`problem.${status}.title`)">
    <p>{{ t(`problem.${status}.text`) }}</p>
    <p>
      <a href="/">{{ t('problem.back') }}</a>
    </p>
  </DoorFrame>
</template>

<style scoped>
p {
  margin: 0;
}
</style>
