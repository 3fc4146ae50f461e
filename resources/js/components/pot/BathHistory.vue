<script setup lang="ts">
import { computed } from 'vue'
import { t } from '@/composables/useText'
import type { PotInBooks } from '@/types/server'

/** The wax in a pot since it was filled: grams as steps over what covers a coil, grit as a thin line against its limit. */
const props = defineProps<{ history: PotInBooks['history']; about: NonNullable<PotInBooks['historyAbout']> }>()
const WIDE = 420
const HIGH = 74
const scale = computed(() => {
  const first = props.history[0]?.[0] ?? 0
  const last = props.about.now
  const most = Math.max(props.about.needed, ...props.history.map(([, grams]) => grams))
  const x = (at: number) => ((at - first) / Math.max(1, last - first)) * WIDE
  const y = (grams: number) => HIGH - (grams / most) * HIGH
  const grit = (value: number) => HIGH - Math.min(1, value / props.about.gritLimit) * HIGH
  const steps = (value: (entry: [number, number, number]) => number) =>
    props.history
      .map((entry, i) => `${i ? `H${x(entry[0]).toFixed(1)}V` : `M${x(entry[0]).toFixed(1)} `}${value(entry).toFixed(1)}`)

      .join('') + `H${WIDE}`
  return { needed: y(props.about.needed), wax: steps(([, grams]) => y(grams)), grit: steps(([, , value]) => grit(value)) }
})
</script>

<template>
  <figure class="history">
    <svg :viewBox="`0 -6 ${WIDE} ${HIGH + 8}`" role="img" :aria-label="t('bath_history.title')">
      <path :d="`${scale.wax}V${HIGH}H0Z`" class="wax" />
      <path :d="scale.wax" class="edge" />
      <line x1="0" :x2="WIDE" :y1="scale.needed" :y2="scale.needed" class="needed" />
      <path :d="scale.grit" class="grit" />
    </svg>
    <figcaption class="muted small">
      <span>{{ about.from }}</span><span>{{
        t('bath_history.legend', { most: about.most, needed: about.neededText, grit: about.grit })
      }}</span
      ><span>{{ about.until }}</span>
    </figcaption>
  </figure>
</template>

<style scoped>
.history {
  margin: 8px 0;
}
svg {
  width: 100%;
  height: auto;
  display: block;
}
.wax {
  fill: var(--coat);
}
.edge {
  fill: none;
  stroke: var(--coat-line);
  stroke-width: 1.6;
}
.needed {
  stroke: var(--ink);
  stroke-width: 1.4;
  stroke-dasharray: 5 4;
}
.grit {
  fill: none;
  stroke: var(--link-line);
  stroke-width: 2;
}
figcaption {
  display: flex;
  justify-content: space-between;
  gap: 10px;
}
</style>
