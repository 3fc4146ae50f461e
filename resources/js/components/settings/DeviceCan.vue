<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { mayPush, mayRemind } from '@/composables/useReminders'
import { t } from '@/composables/useText'

/** What this browser can do here, and what still works where it refuses. */
const can = ref<{ name: 'secure' | 'offline' | 'wake' | 'notify' | 'closed'; yes: boolean }[]>([])
onMounted(async () => {
  const worker = 'serviceWorker' in navigator ? await navigator.serviceWorker.getRegistration().catch(() => undefined) : undefined
  can.value = [
    { name: 'secure', yes: window.isSecureContext },
    { name: 'offline', yes: worker !== undefined },
    { name: 'wake', yes: 'wakeLock' in navigator },
    { name: 'notify', yes: mayRemind() },
    { name: 'closed', yes: worker !== undefined && mayPush() },
  ]
})
</script>

<template>
  <ul data-test="this-device">
    <li v-for="one in can" :key="one.name">
      <b>{{ t(`device.${one.name}`) }}: {{ one.yes ? t('device.yes') : t('device.no') }}</b
      ><span v-if="!one.yes" class="muted small">{{ t(`device.${one.name}_without`) }}</span>
    </li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 6px 0 12px;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  align-items: baseline;
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
}
</style>
