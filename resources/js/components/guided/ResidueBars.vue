<script setup lang="ts">
import { t } from '@/composables/useText'
import type { JobStateView } from '@/types/server'

/** What each bath should leave, by order of magnitude, beside what was seen. */
defineProps<{ residues: NonNullable<JobStateView['residues']> }>()
</script>

<template>
  <section class="residues" aria-labelledby="residues">
    <h2 id="residues">{{ t('job.grease') }}</h2>
    <ol>
      <li v-for="residue in residues" :key="residue.name" :class="{ done: residue.done }">
        <span class="name">{{ residue.name }}</span>
        <span class="bar" aria-hidden="true"><span :style="{ width: `${residue.share * 100}%` }" /></span>
        <span class="text"
          >{{ residue.text }}<small v-if="residue.seen" :data-test="`seen-${residue.name}`">{{ residue.seen }}</small></span
        >
      </li>
    </ol>
    <p class="muted small">{{ t('job.scale') }} {{ t('job.house') }}</p>
  </section>
</template>

<style scoped>
ol {
  list-style: none;
  padding: 0;
  margin: 12px 0;
}
li {
  display: grid;
  grid-template-columns: 66px minmax(0, 1fr) 118px;
  gap: 10px;
  align-items: center;
  padding: 7px 0;
  border-bottom: 1px solid var(--line);
}
.name {
  font-size: var(--type-2);
  color: var(--steel);
}
.done .name {
  color: var(--ink);
  font-weight: 620;
}
.bar {
  height: 14px;
  border: 1.2px solid var(--steel-2);
  border-radius: 2px;
  display: block;
}
.bar {
  position: relative;
}
/* Sixths: tenths of one another. */
.bar::after {
  content: '';
  position: absolute;
  inset: 0;
  background: repeating-linear-gradient(90deg, transparent 0 calc(100% / 6 - 1px), var(--ink) calc(100% / 6 - 1px) calc(100% / 6));
  opacity: 0.5;
}
.bar span {
  display: block;
  height: 100%;
  background: repeating-linear-gradient(135deg, var(--steel-2) 0 2px, transparent 2px 5px);
}
.done .bar {
  border-color: var(--ink);
}
.done .bar span {
  background: var(--inner);
}
.text {
  font-weight: 620;
  font-size: var(--type-2);
}
small {
  display: block;
  font-weight: 480;
  color: var(--steel);
  font-size: var(--type-2);
}
p {
  margin: 0;
}
</style>
