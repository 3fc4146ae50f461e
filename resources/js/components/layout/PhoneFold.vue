<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { nextTick, onMounted, ref } from 'vue'
import { usePhone } from '@/composables/usePhone'

/** A part of a page that stands open on the desk and is a line on the phone, until it is opened or linked to; what is in it is drawn then. */
const props = defineProps<{ title: string; open?: boolean; test?: string }>()
const phone = usePhone()
const fold = ref<HTMLDetailsElement | null>(null)
const drawn = ref(props.open)
async function reveal(): Promise<void> {
  if (location.hash.length < 2) return
  drawn.value = true
  await nextTick()
  const target = document.getElementById(decodeURIComponent(location.hash.slice(1)))
  if (!fold.value || !target || !fold.value.contains(target)) return
  fold.value.open = true
  target.scrollIntoView()
}
onMounted(reveal)
useEventListener(window, 'hashchange', reveal)
</script>

<template>
  <details v-if="phone" ref="fold" class="phone-fold" :open="props.open" :data-test="props.test" @toggle="drawn = true">
    <summary @click="drawn = true">{{ title }} <slot name="mark" /></summary>
    <slot v-if="drawn" />
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
