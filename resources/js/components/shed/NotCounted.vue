<script setup lang="ts">
import { computed } from 'vue'
import { t } from '@/composables/useText'
import { entries } from '@/offline/entries'

/** Says beside a figure that entries on this device are not in it yet. */
const props = defineProps<{ bike?: number; chain?: number }>()
const count = computed(
  () =>
    entries.value.filter(
      (entry) =>
        (props.bike !== undefined && entry.bikes.includes(props.bike)) || (props.chain !== undefined && entry.chains.includes(props.chain)),
    ).length,
)
</script>

<template>
  <p v-if="count" class="not-counted" role="status" data-test="not-counted">
    {{ count === 1 ? t('kept.not_counted_one') : t('kept.not_counted', { count }) }}
  </p>
</template>

<style scoped>
.not-counted {
  display: inline-block;
  margin: 4px 0;
  padding: 1px 8px;
  border: 1.5px dashed var(--ink);
  border-radius: 3px;
  font-size: var(--type-2);
  font-weight: 620;
}
</style>
