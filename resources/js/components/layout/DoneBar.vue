<script setup lang="ts">
import { usePage } from '@inertiajs/vue3'
import { computed, onUnmounted, ref, watch } from 'vue'
import { lastPressY } from '@/composables/lastPress'
import { whenIdle } from '@/composables/lazily'
import { told } from '@/composables/told'
import { PHONE } from '@/composables/usePhone'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'

/**
 * What was just done, with its Undo, or what this device has to say of it, beside what was pressed for it. It goes ten seconds after it
 * could be read, unless somebody is at it; the key for undo works on, and History has it.
 */
const page = usePage()
const closed = ref<string | null>(null)
const done = computed(() => {
  const said = page.props.kept ? null : page.props.done
  // Whatever came last.
  const last = told.value ?? (said && { ...said, act: undefined })
  return last && last.key !== closed.value ? { undo: null, ...last } : null
})
watch(
  () => page.props.done?.key,
  () => (told.value = null),
)
function act(): void {
  told.value?.act?.do()
  told.value = null
}

function undo(): void {
  if (done.value?.undo) write('post', `/actions/${done.value.undo}/undo`)
}
defineExpose({ undo })

// On the desk it comes up just under what was pressed; on the phone it is at the foot, under the thumb.
const top = ref<string | undefined>()
function place(): void {
  const pressedY = lastPressY()
  const desk = !window.matchMedia(PHONE).matches
  top.value = desk && pressedY !== null ? `${Math.min(Math.max(pressedY + 28, 66), window.innerHeight - 66)}px` : undefined
}
// Three words a second, for those who read slowly.
const MS_A_WORD = 330
const MS_MORE = 10_000
const gone = ref(false)
let timer: number | undefined
let turn = 0
const held = ref(false)
function wait(): void {
  if (!held.value) place()
  window.clearTimeout(timer)
  gone.value = false
  const mine = ++turn
  if (done.value && !held.value) {
    const ms = MS_MORE + MS_A_WORD * done.value.text.split(/\s+/).length
    // Counted from when it is painted: a slow phone may be busy with the page for longer than it takes to read.
    const painted = () => whenIdle(() => mine === turn && (timer = window.setTimeout(() => (gone.value = true), ms)))
    window.requestAnimationFrame(() => window.requestAnimationFrame(painted))
  }
}
watch([() => done.value?.key, held], wait, { immediate: true })
onUnmounted(() => {
  turn++
  window.clearTimeout(timer)
})
</script>

<template>
  <div class="hold" aria-live="polite" role="status" :style="top === undefined ? undefined : { top, bottom: 'auto' }">
    <div
      v-if="done && !gone"
      class="bar"
      data-test="done"
      @pointerenter="held = true"
      @pointerleave="held = false"
      @focusin="held = true"
      @focusout="held = false">
      <span>{{ done.text }}</span>
      <button v-if="done.undo" type="button" data-test="undo" @click="undo">{{ t('verbs.undo') }} <kbd class="desk">u</kbd></button>
      <button v-if="done.act" type="button" data-test="told-act" @click="act">{{ done.act.title }}</button>
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
@media (max-width: 52.49em) {
  .hold {
    bottom: calc(var(--thumb) + 10px);
  }
  button {
    min-height: 44px;
    min-width: 44px;
  }
}
</style>
