<script setup lang="ts">
import { strandPaths } from './strandPaths'

/** A strand of links along the x axis: bare steel, under its coat, or under a coat nobody knows (ghost); whoever places it turns and clips it. */
const props = defineProps<{ count: number; length: number; outer: number; inner: number; waxed?: boolean; ghost?: boolean }>()
const paths = strandPaths(props.count, props.length, props.outer, props.inner)
</script>

<template>
  <g stroke-width=".8">
    <template v-if="waxed || ghost">
      <path
        v-for="coat in paths.coats"
        :key="coat"
        :d="coat"
        :fill="ghost ? 'none' : 'var(--coat)'"
        stroke="var(--coat-line)"
        :stroke-dasharray="ghost ? '2.5 2.5' : undefined" />
    </template>
    <path :d="paths.inner" :fill="waxed ? 'var(--coat-deep)' : 'var(--inner)'" :stroke="waxed ? 'var(--coat-pin)' : 'var(--link-line)'" />
    <path :d="paths.outer" :fill="waxed ? 'var(--coat-deep)' : 'var(--outer)'" :stroke="waxed ? 'var(--coat-pin)' : 'var(--link-line)'" />
    <path :d="paths.pins" :fill="waxed ? 'var(--coat-pin)' : 'var(--pin)'" />
  </g>
</template>
