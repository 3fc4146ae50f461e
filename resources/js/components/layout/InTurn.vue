<script setup lang="ts">
import { useTurn } from '@/composables/useInTurn'

/** A part of a page that is drawn once what stands over it is there. */
const come = useTurn()
</script>

<template>
  <slot v-if="come" />
</template>
