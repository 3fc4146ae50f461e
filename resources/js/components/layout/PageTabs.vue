<script setup lang="ts">
import { Link } from '@inertiajs/vue3'

/** The title of a page that stands in parts, and the way to each: a page of its own, or, by a #, a part of this one. */
defineProps<{ title: string; label: string; tabs: { href: string; title: string; test: string }[]; at: string }>()
const emit = defineEmits<{ choose: [part: string] }>()
</script>

<template>
  <div class="row head">
    <h1>{{ title }}</h1>
    <nav :aria-label="label">
      <component
        :is="tab.href.startsWith('#') ? 'a' : Link"
        v-for="tab in tabs"
        :key="tab.href"
        :href="tab.href"
        :class="{ on: tab.test === at }"
        :aria-current="tab.test === at ? 'page' : undefined"
        :data-test="`tab-${tab.test}`"
        @click="tab.href.startsWith('#') && ($event.preventDefault(), emit('choose', tab.test))"
        >{{ tab.title }}</component
      >
    </nav>
    <slot />
  </div>
</template>

<style scoped>
.head {
  gap: 8px 28px;
  margin-bottom: 20px;
  border-bottom: 1.5px solid var(--ink);
}
h1 {
  padding-bottom: 8px;
}
nav {
  display: flex;
  flex-wrap: wrap;
  align-self: stretch;
}
a {
  display: flex;
  align-items: center;
  min-height: 44px;
  padding: 0 12px;
  text-decoration: none;
  color: var(--steel);
  font-weight: 560;
}
a:hover {
  text-decoration: underline;
}
a.on {
  color: var(--ink);
  font-weight: 680;
  box-shadow: inset 0 -4px 0 var(--ink);
}
</style>
