<script setup lang="ts">
import { computed } from 'vue'
import type { WearView } from '@/types/server'

/**
 * A small rule with its stop at the limit. What is believed of the wear now is a band with a pointer at its middle; without a
 * belief a value is a pointer, an interval the stretch it leaves open, never a point.
 */
const props = withDefaults(defineProps<{ wear: WearView; width?: number }>(), { width: 90 })
const at = (percent: number) => 4 + (props.width - 12) * Math.max(0, Math.min(1.06, percent / props.wear.limit))
const band = computed(() =>
  props.wear.p10 == null || props.wear.p90 == null
    ? null
    : { from: at(props.wear.p10), to: Math.max(at(props.wear.p10) + 2, at(props.wear.p90)) },
)
const pointer = computed(() => {
  const known = props.wear.mean ?? props.wear.value
  return known === null ? null : at(known)
})
const stretch = computed(() =>
  props.wear.lower === null && props.wear.upper === null
    ? null
    : {
        from: at(props.wear.lower ?? 0),
        to: props.wear.upper === null ? props.width - 1 : at(props.wear.upper),
        open: props.wear.upper === null ? 'up' : props.wear.lower === null ? 'down' : 'none',
      },
)
const ticks = [0, 0.2, 0.4, 0.6, 0.8, 1]
</script>

<template>
  <svg
    class="rule"
    :width="width"
    height="18"
    :viewBox="`0 0 ${width} 18`"
    role="img"
    :aria-label="wear.of"
    data-test="wear"
    :data-value="wear.value ?? ''"
    :data-lower="wear.lower ?? ''"
    :data-upper="wear.upper ?? ''">
    <line x1="4" y1="9" :x2="width - 8" y2="9" stroke="var(--ink)" stroke-width="1.2" />
    <line v-for="tick in ticks" :key="tick" :x1="4 + (width - 12) * tick" y1="6" :x2="4 + (width - 12) * tick" y2="9" stroke="var(--ink)" />
    <rect :x="width - 9" y="1" width="2.4" height="10" fill="var(--ember)" />
    <rect v-if="band" :x="band.from" y="11" :width="band.to - band.from" height="6" fill="var(--ink)" opacity=".3" data-test="wear-band" />
    <path v-if="pointer !== null" :d="`M${pointer} 10l-4.5 7h9Z`" fill="var(--ink)" data-test="wear-pointer" />
    <g v-else-if="stretch" data-test="wear-stretch" :data-open="stretch.open">
      <rect :x="stretch.from" y="12" :width="Math.max(2, stretch.to - stretch.from)" height="4" fill="var(--ink)" opacity=".35" />
      <line v-if="stretch.open !== 'down'" :x1="stretch.from" y1="10.5" :x2="stretch.from" y2="17" stroke="var(--ink)" stroke-width="1.6" />
      <line v-if="stretch.open !== 'up'" :x1="stretch.to" y1="10.5" :x2="stretch.to" y2="17" stroke="var(--ink)" stroke-width="1.6" />
    </g>
  </svg>
</template>

<style scoped>
.rule {
  display: block;
  overflow: visible;
}
</style>
