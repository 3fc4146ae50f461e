<script setup lang="ts">
import { ref } from 'vue'
import ConnectDevice from '@/components/devices/ConnectDevice.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { ask } from '@/composables/usePreview'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'

/** Where rides come in by themselves. */
defineProps<{ inbox: { folder: string; devices: { id: number; name: string }[] } }>()
const here = useHere()
const said = ref('')
async function simulate(): Promise<void> {
  const result = await ask<{ rides: number }>('post', '/bike-computers/simulate', {})
  said.value = 'answer' in result ? t('inbox.sent', { count: result.answer.rides }) : (Object.values(result.errors)[0] ?? '')
}
const EXAMPLE = 'Content-Type: application/gpx+xml\n\n<gpx version="1.1">…</gpx>'
</script>

<template>
  <section aria-labelledby="inbox">
    <details>
      <summary>
        <h2 id="inbox">{{ t('inbox.title') }}</h2>
      </summary>
      <p class="muted">{{ t('inbox.text') }}</p>
      <p>
        {{ t('inbox.folder') }}: <code>{{ inbox.folder }}</code>
      </p>
      <ConnectDevice
        :devices="inbox.devices"
        url="/bike-computers"
        :name-label="t('inbox.name')"
        :verb="t('inbox.connect')"
        :example="EXAMPLE"
        reload="inbox"
        test="bike-computer" />
      <div v-if="here.demo" class="row">
        <PushButton data-test="simulate-rides" @click="simulate">{{ t('inbox.simulate') }}</PushButton>
        <span role="status">{{ said }}</span>
      </div>
    </details>
  </section>
</template>

<style scoped>
section {
  padding-top: 0;
}
summary h2 {
  display: inline;
}
code {
  overflow-wrap: anywhere;
}
.row {
  margin-top: 12px;
}
</style>
