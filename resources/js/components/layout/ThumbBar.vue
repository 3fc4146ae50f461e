<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { mdiPlus } from '@mdi/js'
import { t } from '@/composables/useText'

/** The phone's way about, within reach of a thumb; in its middle what is written down most. */
defineProps<{ at: string; mayWrite: boolean }>()
const emit = defineEmits<{ add: [] }>()
const places = [
  { name: 'shed', href: '/' },
  { name: 'pot', href: '/pot' },
  null,
  { name: 'rides', href: '/rides' },
  { name: 'ahead', href: '/ahead' },
] as const
</script>

<template>
  <nav class="thumb" :aria-label="t('nav.main')">
    <template v-for="place in places" :key="place?.name ?? 'add'">
      <Link
        v-if="place"
        :href="place.href"
        :class="{ on: place.name === at }"
        :aria-current="place.name === at ? 'page' : undefined"
        :data-test="`nav-${place.name}`"
        >{{ t(`nav.${place.name}`) }}</Link
      >
      <button v-else-if="mayWrite" type="button" :aria-label="t('nav.add')" data-test="add" @click="emit('add')">
        <svg width="30" height="30" viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiPlus" fill="currentColor" /></svg>
      </button>
    </template>
  </nav>
</template>

<style scoped>
.thumb {
  position: fixed;
  left: 0;
  right: 0;
  bottom: 0;
  z-index: 5;
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  background: var(--paper);
  border-top: 1.5px solid var(--ink);
  padding-bottom: env(safe-area-inset-bottom);
}
a {
  display: flex;
  align-items: center;
  justify-content: center;
  min-height: var(--thumb);
  font-weight: 560;
  font-size: clamp(0.62rem, 3.6vw, 0.9rem);
  color: var(--steel);
  text-decoration: none;
}
a.on {
  color: var(--ink);
  font-weight: 680;
  box-shadow: inset 0 4px 0 var(--ink);
}
button {
  display: grid;
  place-items: center;
  background: var(--ink);
  color: var(--paper);
  border: 0;
  min-height: var(--thumb);
  cursor: pointer;
}
@media print {
  .thumb {
    display: none;
  }
}
</style>
