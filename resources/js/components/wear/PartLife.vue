<script setup lang="ts">
import { t } from '@/composables/useText'
import type { PartWearView } from '@/types/server'

/** What a part ran; of a cassette the chains that it has outlived, a box each, out of the four to five that it does. */
defineProps<{ part: PartWearView & { name: string; km: string } }>()
</script>

<template>
  <p class="part" :data-test="`part-${part.name}`">
    <b>{{ part.name }}</b>, {{ part.km }}
    <span v-if="part.outlived" class="boxes">
      <i
        v-for="n in Math.max(part.most, part.chains)"
        :key="n"
        :class="{ full: n <= part.chains, extra: n > part.least }"
        aria-hidden="true" />
      <span>{{ part.outlived }}</span>
    </span>
    <span v-if="part.teeth" class="muted" data-test="teeth">{{ part.teeth }}</span>
    <span v-if="part.warning" class="warn" :aria-label="`${t('gauge.outlived')}: ${part.warning}`">{{ part.warning }}</span>
  </p>
</template>

<style scoped>
.part {
  margin: 0 0 4px;
}
.boxes {
  display: inline-flex;
  gap: 3px;
  align-items: center;
  vertical-align: middle;
  margin-left: 8px;
}
.boxes span {
  margin-left: 5px;
}
i {
  width: 13px;
  height: 13px;
  border: 1.4px solid var(--ink);
  border-radius: 2px;
}
i.extra {
  border-style: dashed;
}
i.full {
  background: var(--ink);
}
.warn {
  display: block;
  font-weight: 620;
}
</style>
