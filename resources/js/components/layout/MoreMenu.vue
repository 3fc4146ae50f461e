<script setup lang="ts">
import { computed, ref } from 'vue'
import type { MenuItem } from './menuItem'
import { lazily } from '@/composables/lazily'

/** A button and what else there is behind it; the code of the list comes after the page. The slot draws the button. */
defineProps<{ items: MenuItem[] }>()
const MenuList = lazily(() => import('./MenuList.vue'))
const hold = ref<HTMLElement | null>(null)
const open = ref(false)
const wanted = ref(false)
function press(): void {
  wanted.value = true
  open.value = !open.value
}
const button = computed(() => ({ onClick: press, 'aria-haspopup': 'menu' as const, 'aria-expanded': open.value }))
</script>

<template>
  <span ref="hold" class="anchor">
    <slot :button="button" />
    <MenuList v-if="wanted" v-model="open" :items="items" :button="hold?.querySelector('button') ?? null" />
  </span>
</template>

<style scoped>
.anchor {
  display: inline-flex;
}
</style>
