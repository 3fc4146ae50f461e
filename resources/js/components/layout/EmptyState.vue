<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { useHere } from '@/composables/useHere'

/** A page that has nothing to show yet: what it is for, and its first step. */
defineProps<{ text: string; href: string; verb: string }>()
const here = useHere()
</script>

<template>
  <div class="empty" data-test="empty">
    <p>{{ text }}</p>
    <Link v-if="here.mayWrite" :href="href" data-test="empty-first">{{ verb }}</Link>
  </div>
</template>

<style scoped>
.empty {
  max-width: 560px;
  padding: 22px 0;
  border-top: 7px solid var(--wood);
  margin: 14px 0;
}
p {
  font-size: var(--type-4);
  margin: 0 0 14px;
}
a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  padding: 0 16px;
  background: var(--ink);
  color: var(--paper);
  border-radius: 3px;
  font-weight: 620;
  text-decoration: none;
}
</style>
