<script setup lang="ts">
import { KEYS } from '@/composables/keyList'
import { t } from '@/composables/useText'
</script>

<template>
  <dl>
    <template v-for="[key, name] in KEYS" :key="key"
      ><dt>
        <kbd>{{ key }}</kbd>
      </dt>
      <dd>{{ t(`keys.${name}`) }}</dd></template
    >
  </dl>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 52px 1fr;
  row-gap: 6px;
  margin: 14px 0 18px;
}
dd {
  margin: 0;
}
</style>
