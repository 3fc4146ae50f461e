<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { usePhone } from '@/composables/usePhone'

/** A part of a page that stands open on the desk and is a line on the phone, until it is opened or linked to. */
const props = defineProps<{ title: string; open?: boolean; test?: string }>()
const phone = usePhone()
const fold = ref<HTMLDetailsElement | null>(null)
onMounted(() => {
  const target = location.hash.length > 1 ? document.getElementById(decodeURIComponent(location.hash.slice(1))) : null
  if (!fold.value || !target || !fold.value.contains(target)) return
  fold.value.open = true
  target.scrollIntoView()
})
</script>

<template>
  <details v-if="phone" ref="fold" class="phone-fold" :open="props.open" :data-test="props.test">
    <summary>{{ title }} <slot name="mark" /></summary>
    <slot />
  </details>
  <slot v-else />
</template>

<style scoped>
.phone-fold {
  border-bottom: 1px solid var(--line);
}
summary {
  font-weight: 680;
  text-decoration: none;
}
</style>
