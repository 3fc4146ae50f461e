<script setup lang="ts">
/** A strand of links along the x axis: bare steel, under its coat, or under a coat nobody knows (ghost); whoever places it turns and clips it. */
const props = defineProps<{ count: number; length: number; outer: number; inner: number; waxed?: boolean; ghost?: boolean }>()
const pitch = props.length / props.count
const links = Array.from({ length: props.count }, (_, i) => {
  const isOuter = i % 2 === 0
  return { x: i * pitch + pitch / 2, width: isOuter ? props.outer : props.inner, isOuter }
})
const fill = (isOuter: boolean) => (props.waxed ? 'var(--coat-deep)' : isOuter ? 'var(--outer)' : 'var(--inner)')
</script>

<template>
  <g stroke-width=".8">
    <template v-if="waxed || ghost">
      <rect
        v-for="link in links"
        :key="link.x"
        :x="link.x - pitch * 0.62"
        :y="-link.width / 2 - 2.3"
        :width="pitch * 1.24"
        :height="link.width + 4.6"
        rx="5"
        :fill="ghost ? 'none' : 'var(--coat)'"
        stroke="var(--coat-line)"
        :stroke-dasharray="ghost ? '2.5 2.5' : undefined" />
    </template>
    <g v-for="link in links" :key="`l${link.x}`">
      <rect
        :x="link.x - pitch * 0.55"
        :y="-link.width / 2"
        :width="pitch * 1.1"
        :height="link.width"
        :rx="link.isOuter ? 4.5 : 3.2"
        :fill="fill(link.isOuter)"
        :stroke="waxed ? 'var(--coat-pin)' : 'var(--link-line)'" />
      <template v-if="link.isOuter">
        <circle
          v-for="side in [-1, 1]"
          :key="side"
          :cx="link.x + side * pitch * 0.24"
          cy="0"
          r="1.75"
          :fill="waxed ? 'var(--coat-pin)' : 'var(--pin)'" />
      </template>
    </g>
  </g>
</template>
