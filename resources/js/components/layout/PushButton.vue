<script setup lang="ts">
/**
 * What is pressed. A page draws fifty of them, so it is no more than its element, its words and how it stands: the library's own, thirty
 * things at once, was most of what a phone did to draw the Shed.
 */
const props = withDefaults(
  defineProps<{
    type?: 'button' | 'submit'
    /** What the page or the form is for: one of each. */
    main?: boolean
    /** Without a frame, beside what it belongs to. */
    bare?: boolean
    /** A path that is drawn instead of words. */
    icon?: string
    compact?: boolean
    loading?: boolean
    disabled?: boolean
    href?: string
  }>(),
  { type: 'button', icon: undefined, href: undefined },
)
</script>

<template>
  <component
    :is="props.href === undefined ? 'button' : 'a'"
    class="push"
    :class="{ main: props.main, bare: props.bare, icon: props.icon, compact: props.compact }"
    :type="props.href === undefined ? props.type : undefined"
    :href="props.href"
    :disabled="props.disabled || undefined"
    :aria-busy="props.loading || undefined"
    :tabindex="props.loading ? -1 : undefined">
    <svg v-if="props.icon" viewBox="0 0 24 24" aria-hidden="true"><path :d="props.icon" /></svg>
    <span v-else class="words"><slot /></span>
  </component>
</template>
