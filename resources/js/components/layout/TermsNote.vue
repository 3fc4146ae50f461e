<script setup lang="ts">
import { useDebounceFn, useMutationObserver } from '@vueuse/core'
import { onMounted, ref } from 'vue'
import { t } from '@/composables/useText'

/** What "house rule" and "common practice" mean, once at the foot of a page that says so somewhere. */
const props = defineProps<{ of: HTMLElement | null }>()
const TERMS = ['house_rule', 'common_practice'] as const
const said = ref<(typeof TERMS)[number][]>([])
const look = () => {
  const text = props.of?.innerText.toLowerCase() ?? ''
  said.value = TERMS.filter((term) => text.includes(t(`terms.${term}.word`)))
}
onMounted(look)
// Once a page has come to rest.
useMutationObserver(() => props.of, useDebounceFn(look, 300), { childList: true, subtree: true, characterData: true })
</script>

<template>
  <!-- Part of the page: a landmark of its own would be a second one beside that of some pages, both without a name. -->
  <p v-if="said.length" class="terms small muted" data-test="terms">
    {{ said.map((term) => t(`terms.${term}.meaning`)).join(' ') }}
  </p>
</template>

<style scoped>
.terms {
  margin: 0;
  padding: 0 24px;
  max-width: 1280px;
}
@media print {
  .terms {
    display: none;
  }
}
</style>
