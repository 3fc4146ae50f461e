<script setup lang="ts">
import { useId } from 'vue'
import { t } from '@/composables/useText'
import type { RiderShareView } from '@/types/server'

/** A pot day split among the riders whose chains are in it. */
defineProps<{ shares: RiderShareView[] }>()
const title = useId()
</script>

<template>
  <section :aria-labelledby="title" data-test="rider-shares">
    <h2 :id="title">{{ t('riders.split') }}</h2>
    <table class="plain">
      <thead>
        <tr>
          <th>{{ t('riders.rider') }}</th>
          <th>{{ t('riders.chains') }}</th>
          <th class="num">{{ t('riders.wax') }}</th>
          <th class="num">{{ t('riders.money') }}</th>
          <th class="num">{{ t('riders.time') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="share in shares" :key="share.rider">
          <th scope="row">{{ share.rider }}</th>
          <td>{{ share.chains }}</td>
          <td class="num">{{ share.wax }}</td>
          <td class="num">{{ share.money }}</td>
          <td class="num">{{ share.time }}</td>
        </tr>
      </tbody>
    </table>
    <p class="small muted">{{ t('riders.shared') }}</p>
  </section>
</template>

<style scoped>
th[scope='row'] {
  border-bottom: 1px solid var(--line);
  color: var(--ink);
  font-size: var(--type-4);
}
</style>
