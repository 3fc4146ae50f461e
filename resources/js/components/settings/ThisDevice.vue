<script setup lang="ts">
import QRCode from 'qrcode'
import { onMounted, ref } from 'vue'
import DeviceCan from './DeviceCan.vue'
import TickBox from '@/components/forms/TickBox.vue'
import { useKeysEnabled } from '@/composables/useKeys'
import { mayPush, mayRemind, usePush, useRemindersWanted } from '@/composables/useReminders'
import { t } from '@/composables/useText'

/** What this browser can do here, and what still works where it refuses; the way in for the phone. */
const props = defineProps<{ lan: string | null }>()
const keys = useKeysEnabled()
const { wanted, choose } = useRemindersWanted()
const { closed, refused, choose: chooseClosed } = usePush()
const code = ref('')
onMounted(async () => {
  if (props.lan) code.value = await QRCode.toString(`${props.lan}/trust`, { type: 'svg', margin: 1, width: 148 })
})
</script>

<template>
  <section aria-labelledby="this-device">
    <h2 id="this-device">{{ t('device.title') }}</h2>
    <DeviceCan />
    <div v-if="lan" class="lan">
      <!-- eslint-disable-next-line vue/no-v-html -- drawn by the QR package from an address of this server -->
      <div class="code" role="img" :aria-label="lan" v-html="code" />
      <p class="small">
        {{ t('device.scan') }}<br /><a :href="`${lan}/trust`">{{ lan }}/trust</a>
      </p>
    </div>
    <p v-else class="muted small">{{ t('device.no_lan') }}</p>
    <v-checkbox
      v-if="mayRemind()"
      :model-value="wanted"
      :label="t('device.remind')"
      :hint="t('device.remind_hint')"
      persistent-hint
      data-test="remind"
      @update:model-value="(on) => choose(!!on)" />
    <v-checkbox
      v-if="mayPush() && wanted"
      :model-value="closed"
      :label="t('device.push')"
      :hint="t('device.push_hint')"
      :error-messages="refused"
      persistent-hint
      data-test="push"
      @update:model-value="(on) => chooseClosed(!!on)" />
    <TickBox v-model="keys" :label="t('settings.keys')" :hint="t('settings.keys_hint')" persistent-hint />
  </section>
</template>

<style scoped>
li b {
  font-weight: 620;
}
li span {
  display: block;
}
.lan {
  display: flex;
  gap: 14px;
  align-items: center;
}
.code {
  background: #fff;
  line-height: 0;
}
p {
  margin: 0;
  overflow-wrap: anywhere;
}
</style>
