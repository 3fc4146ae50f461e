<script setup lang="ts">
import DoorFrame from '@/components/layout/DoorFrame.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'
import type { NotKeptPage } from '@/types/server'

/** Without the machine: this page was never opened on this device, others were. */
defineProps<NotKeptPage>()
const reload = () => window.location.reload()
</script>

<template>
  <DoorFrame :title="t('offline.title')">
    <p>{{ t('offline.why') }}</p>
    <p>{{ t(pages.length ? 'offline.others' : 'offline.meanwhile') }}</p>
    <ul v-if="pages.length" data-test="kept-pages">
      <li v-for="page in pages" :key="page.url">
        <a :href="page.url">{{ page.title }}</a>
      </li>
    </ul>
    <PushButton main data-test="retry" @click="reload">{{ t('offline.retry') }}</PushButton>
  </DoorFrame>
</template>

<style scoped>
p {
  margin: 0;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  border-bottom: 1px solid var(--line);
}
a {
  display: flex;
  align-items: center;
  min-height: 44px;
}
</style>
