<script setup lang="ts">
import { computed, onMounted, ref, useAttrs, useId, useTemplateRef, type InputHTMLAttributes } from 'vue'

/** A line to write in, or several: its name stands in it until something is written, then over it; what is wrong stands below. */
defineOptions({ inheritAttrs: false })
const value = defineModel<string>({ default: '' })
interface Own {
  label?: string
  hint?: string
  /** Shown though nobody is in the field. */
  persistentHint?: boolean
  errorMessages?: string | string[]
  prefix?: string
  suffix?: string
  density?: 'compact' | 'default'
  placeholder?: string
  /** Of a text of several lines. */
  rows?: string
}
// Goes to the input as it comes.
type Named = 'autocapitalize' | 'autofocus' | 'disabled' | 'inputmode' | 'list' | 'name' | 'spellcheck' | 'type' | 'onBlur'
type OfInput = Pick<InputHTMLAttributes, Named> & { autocomplete?: string }
const props = defineProps<Own & /* @vue-ignore */ OfInput>()
const attrs = useAttrs()
const id = useId()
const input = useTemplateRef<HTMLInputElement | HTMLTextAreaElement>('input')
const ofRoot = (name: string) => name === 'class' || name === 'style' || name.startsWith('data-')
const some = (keep: (name: string) => boolean) => Object.fromEntries(Object.entries(attrs).filter(([name]) => keep(name)))
const root = computed(() => some(ofRoot))
const own = computed(() => some((name) => !ofRoot(name) && name !== 'autofocus'))
const wrong = computed(() => [props.errorMessages ?? []].flat().filter((message) => message !== ''))
// Shown from when somebody came to it, and not taken back: what stands below would move from under the pointer that leaves.
const seen = ref(props.persistentHint)
const focus = () => input.value?.focus()
onMounted(() => 'autofocus' in attrs && attrs.autofocus !== false && focus())
defineExpose({ focus })
</script>

<template>
  <div v-bind="root" class="text-field" :class="density">
    <div class="box" :class="{ wrong: wrong.length }" @focusin="seen = true">
      <span v-if="prefix" class="beside">{{ prefix }}</span>
      <component
        :is="rows ? 'textarea' : 'input'"
        :id="id"
        ref="input"
        v-bind="own"
        :value="value"
        :rows="rows"
        :placeholder="placeholder ?? ' '"
        :aria-invalid="wrong.length > 0 || undefined"
        :aria-describedby="wrong.length || (hint && seen) ? `${id}-said` : undefined"
        @input="value = $event.target.value" />
      <span v-if="suffix" class="beside">{{ suffix }}</span>
      <slot name="append" />
      <label v-if="label" :for="id" :class="{ over: prefix || placeholder }">{{ label }}</label>
    </div>
    <div :id="`${id}-said`" class="said" aria-live="polite">
      <p v-for="message in wrong" :key="message" class="ember">{{ message }}</p>
      <p v-if="hint && seen && !wrong.length" class="hint">{{ hint }}</p>
    </div>
  </div>
</template>

<style scoped>
.text-field {
  min-width: 0;
}
.box {
  --edge: color-mix(in srgb, var(--ink) 55%, transparent);
  position: relative;
  display: flex;
  align-items: center;
  min-height: 48px;
  padding-inline: 15px;
  background: var(--paper);
  border: 1px solid var(--edge);
  border-radius: 3px;
}
.compact .box {
  min-height: 40px;
}
.box:hover {
  --edge: var(--ink);
}
.box:focus-within {
  --edge: var(--ink);
  box-shadow: inset 0 0 0 1px var(--edge);
}
.box.wrong {
  --edge: var(--ember);
}
.box:has(:disabled) {
  opacity: 0.55;
}
input,
textarea {
  flex: 1;
  min-width: 0;
  width: 100%;
  align-self: stretch;
  padding: 0;
  font: inherit;
  font-size: var(--type-3);
  color: inherit;
  background: none;
  border: 0;
  outline: none;
}
textarea {
  padding-block: 12px;
  resize: vertical;
}
:is(input, textarea)::placeholder {
  color: var(--steel);
  opacity: 1;
}
.beside {
  color: var(--steel);
  white-space: nowrap;
}
.beside:first-child {
  padding-right: 4px;
}
.beside:not(:first-child) {
  padding-left: 4px;
}
label {
  position: absolute;
  top: 0;
  left: 11px;
  max-width: calc(100% - 22px);
  overflow: hidden;
  padding-inline: 4px;
  font-size: var(--type-2);
  line-height: 1.3;
  color: var(--steel);
  text-overflow: ellipsis;
  white-space: nowrap;
  pointer-events: none;
  /* The edge is hidden behind it, what the field stands on is not. */
  background: linear-gradient(transparent 45%, var(--paper) 45%);
  translate: 0 -50%;
}
/* Nothing is written in it and nobody is: the name has all of the field. */
.box:not(:has(.over)):has(:placeholder-shown:not(:focus)) .beside:not(:first-child) {
  display: none;
}
:placeholder-shown:not(:focus, :-webkit-autofill) ~ label:not(.over) {
  top: 24px;
  font-size: var(--type-3);
  background: none;
}
.compact :placeholder-shown:not(:focus, :-webkit-autofill) ~ label:not(.over) {
  top: 50%;
}
.wrong label {
  color: var(--ember);
}
.said p {
  margin: 0;
  padding: 5px 10px 0 16px;
  font-size: var(--type-2);
  line-height: 1.3;
}
.hint {
  color: var(--steel);
}
@media (max-width: 52.49em) {
  .box,
  .compact .box {
    min-height: 44px;
    padding-inline: 9px;
  }
  .compact :placeholder-shown:not(:focus, :-webkit-autofill) ~ label:not(.over),
  :placeholder-shown:not(:focus, :-webkit-autofill) ~ label:not(.over) {
    top: 22px;
  }
  .said p {
    padding-left: 10px;
  }
  label {
    left: 5px;
    max-width: calc(100% - 10px);
  }
}
</style>
