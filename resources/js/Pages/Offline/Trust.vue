<script setup lang="ts">
import DoorFrame from '@/components/layout/DoorFrame.vue'
import DeviceCan from '@/components/settings/DeviceCan.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'
import type { TrustPage } from '@/types/server'

/** How a phone learns to trust this machine: once, and then pages open without a network, too. */
defineProps<TrustPage>()
const kinds = ['profile', 'settings', 'desk'] as const
</script>

<template>
  <DoorFrame :title="t('trust.title')">
    <p>{{ t('trust.text') }}</p>
    <template v-if="root">
      <PushButton :href="root" main data-test="root">{{ t('trust.download') }}</PushButton>
      <p class="small muted">
        {{ t('trust.print') }} <code>{{ print }}</code>
      </p>
      <details v-for="kind in kinds" :key="kind" :data-test="`trust-${kind}`">
        <summary>{{ t(`trust.${kind}.title`) }}</summary>
        <ol>
          <li v-for="n in [1, 2, 3, 4] as const" :key="n">{{ t(`trust.${kind}.${n}`) }}</li>
        </ol>
      </details>
      <p class="caution">{{ t('trust.caution') }}</p>
    </template>
    <p v-else>{{ t('device.no_lan') }}</p>
    <h2>{{ t('trust.now') }}</h2>
    <DeviceCan />
    <p>
      <a href="/">{{ t('trust.on') }}</a>
    </p>
  </DoorFrame>
</template>

<style scoped>
p {
  margin: 0;
}
code {
  overflow-wrap: anywhere;
}
ol {
  margin: 4px 0 10px;
  padding-left: 20px;
}
</style>
