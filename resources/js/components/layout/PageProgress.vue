<script setup lang="ts">
import { underWay } from '@/composables/underWay'
import { t } from '@/composables/useText'
</script>

<template>
  <div v-if="underWay" class="progress" role="progressbar" :aria-label="t('nav.under_way')" />
</template>

<style scoped>
.progress {
  position: fixed;
  z-index: 2500;
  top: 0;
  left: 0;
  width: 100%;
  height: 2px;
  pointer-events: none;
  background: var(--amber);
  animation: way 8s cubic-bezier(0.1, 0.6, 0.3, 1) both;
  transform-origin: left;
}
@keyframes way {
  from {
    transform: scaleX(0.1);
  }
  to {
    transform: scaleX(0.95);
  }
}
@media (prefers-reduced-motion: reduce) {
  .progress {
    animation: none;
  }
}
</style>
