<script setup lang="ts">
import { computed, ref } from 'vue'
import TextField from '@/components/forms/TextField.vue'
import { t } from '@/composables/useText'

/** A figure with its unit. It may have a decimal comma; what is no number, or out of bounds, is said on leaving the field. */
const value = defineModel<string>({ default: '' })
const props = defineProps<{
  unit?: string
  /** Without decimals. */
  whole?: boolean
  /** Within a line of text or a cell of a table. */
  slim?: boolean
  /** The id of what it offers, within a line of text. */
  list?: string
  least?: number
  most?: number
  errorMessages?: string | string[]
}>()
const left = ref(false)
/** What is said on leaving would move what is being pressed from under the pointer: it waits until that is let go. */
function leave(): void {
  const say = () => setTimeout(() => (left.value = true))
  if (document.querySelector('main :active, .v-overlay :active')) window.addEventListener('pointerup', say, { once: true })
  else left.value = true
}
const typed = computed(() => value.value.replace(/\s/g, ''))
const problem = computed(() => {
  if (!left.value || typed.value === '') return undefined
  const number = Number(typed.value.replace(',', '.'))
  if (Number.isNaN(number) || (props.whole && !Number.isInteger(number))) return t(props.whole ? 'number.whole' : 'number.any')
  if (number < (props.least ?? number)) return t('number.least', { least: props.least ?? 0 })
  return number > (props.most ?? number) ? t('number.most', { most: props.most ?? 0 }) : undefined
})
</script>

<template>
  <input v-if="slim" v-model="value" :list="list" class="slim" inputmode="decimal" :aria-invalid="!!errorMessages?.length" @blur="leave" />
  <TextField
    v-else
    :model-value="value"
    :inputmode="whole ? 'numeric' : 'decimal'"
    :suffix="unit"
    :error-messages="errorMessages?.length ? errorMessages : problem"
    autocomplete="off"
    @update:model-value="value = $event"
    @blur="leave" />
</template>
