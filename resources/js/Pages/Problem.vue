<script setup lang="ts">
import DoorFrame from '@/components/layout/DoorFrame.vue'
import { t } from '@/composables/useText'

defineProps<{ status: 403 | 404 | 409 | 419 | 429 | 500 | 503 | 507 }>()
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
