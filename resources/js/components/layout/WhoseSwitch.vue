<script setup lang="ts">
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'

/** My bikes, or everybody's: two keys, one of them down. Only where there is a choice. */
const here = useHere()
const look = (mine: boolean) => write('put', '/whose', { mine })
</script>

<template>
  <div v-if="here.whose" class="whose" role="group" :aria-label="t('riders.look')">
    <button type="button" :aria-pressed="here.whose === 'mine'" data-test="whose-mine" @click="look(true)">{{ t('riders.mine') }}</button>
    <button type="button" :aria-pressed="here.whose === 'all'" data-test="whose-all" @click="look(false)">{{ t('riders.all') }}</button>
  </div>
</template>

<style scoped>
.whose {
  display: flex;
  margin: 0 12px;
}
button {
  font: inherit;
  font-size: var(--type-2);
  font-weight: 620;
  color: var(--ink);
  background: none;
  border: 1.2px solid var(--ink);
  padding: 4px 12px;
  min-height: 30px;
  cursor: pointer;
}
button:first-child {
  border-radius: 3px 0 0 3px;
  border-right: 0;
}
button:last-child {
  border-radius: 0 3px 3px 0;
}
button[aria-pressed='true'] {
  background: var(--ink);
  color: var(--paper);
}
@media (max-width: 52.49em) {
  .whose {
    margin: 0 4px;
  }
  button {
    min-height: 44px;
    min-width: 44px;
    padding: 4px 8px;
  }
}
</style>
