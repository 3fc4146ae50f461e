<script setup lang="ts">
import { usePage } from '@inertiajs/vue3'
import { computed, ref } from 'vue'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'

/** What was just done, with its Undo; it stays until it is closed or something else is done. */
const page = usePage()
const closed = ref<string | null>(null)
const done = computed(() => (page.props.done && page.props.done.key !== closed.value ? page.props.done : null))

function undo(): void {
  if (done.value?.undo) write('post', `/actions/${done.value.undo}/undo`)
}
defineExpose({ undo })
</script>

<template>
  <div class="hold" aria-live="polite" role="status">
    <div v-if="done" class="bar" data-test="done">
      <span>{{ done.text }}</span>
      <button v-if="done.undo" type="button" data-test="undo" @click="undo">{{ t('verbs.undo') }} <kbd class="desk">u</kbd></button>
      <button type="button" :aria-label="t('verbs.close')" @click="closed = done.key">✕</button>
    </div>
  </div>
</template>

<style scoped>
.hold {
  position: fixed;
  left: 0;
  right: 0;
  bottom: 14px;
  display: flex;
  justify-content: center;
  pointer-events: none;
  z-index: 6;
  padding: 0 12px;
}
.bar {
  pointer-events: auto;
  display: flex;
  gap: 14px;
  align-items: center;
  background: var(--ink);
  color: var(--paper);
  padding: 8px 8px 8px 16px;
  border-radius: 3px;
  font-weight: 560;
}
button {
  color: inherit;
  background: transparent;
  border: 1px solid currentColor;
  border-radius: 3px;
  padding: 6px 12px;
  font: inherit;
  font-weight: 680;
  cursor: pointer;
}
button:focus-visible {
  outline-color: var(--amber);
}
button:last-child {
  border-color: transparent;
  padding: 6px 8px;
}
kbd {
  color: inherit;
  border-color: currentColor;
}
@media (max-width: 839.98px) {
  button {
    min-height: 44px;
  }
}
</style>
