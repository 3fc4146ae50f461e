<script setup lang="ts">
import { t } from '@/composables/useText'
import type { JobStepView } from '@/types/server'

/** A line drawing beside a step: how a chain runs, which ends it has, what worn teeth look like. */
type Drawing = NonNullable<JobStepView['drawing']>
defineProps<{ what: Drawing }>()
// Where a drawing begins and how high it is.
const stands: Record<Drawing, [number, number]> = {
  route: [0, 166],
  route_single: [20, 112],
  inner_ends: [44, 90],
  pin_ends: [44, 90],
  direction: [46, 120],
  teeth: [34, 66],
  sprockets: [0, 166],
  box: [44, 84],
  flat: [24, 88],
}
const tooth = (x: number, hook: number, gap: number) =>
  `M${x} 62 C${x + 4} 62 ${x + 6} 40 ${x + 11 + hook} 40 C${x + 16 + hook} 40 ${x + 18} 62 ${x + 22} 62 h${gap}`
const row = (from: number, hook: number, gap: number, teeth = 4) =>
  Array.from({ length: teeth }, (_, n) => tooth(from + n * (22 + gap), hook, gap)).join(' ')
</script>

<template>
  <figure class="drawing" :data-test="`drawing-${what}`">
    <svg :viewBox="`0 ${stands[what][0]} 420 ${stands[what][1]}`" role="img" :aria-label="t(`drawing.${what}`)">
      <g v-if="what === 'route'" class="line" transform="translate(0 18)">
        <circle cx="330" cy="60" r="44" />
        <circle cx="96" cy="46" r="20" />
        <circle cx="112" cy="96" r="11" />
        <circle cx="96" cy="128" r="11" />
        <rect x="252" y="20" width="20" height="34" rx="3" class="soft" />
        <path class="soft" d="M108 78 l18 6 -18 56 -18 -6 z" />
        <path class="run" d="M330 16 L98 26 A20 20 0 0 0 84 62 L103 88 A11 11 0 0 1 120 104 L90 118 A11 11 0 0 0 104 137 L330 104" />
        <text x="218" y="8">{{ t('drawing.front_cage') }}</text>
        <text x="134" y="100">{{ t('drawing.before') }}</text>
        <text x="14" y="134">{{ t('drawing.behind') }}</text>
      </g>
      <g v-else-if="what === 'route_single'" class="line">
        <circle cx="320" cy="75" r="46" />
        <circle cx="100" cy="75" r="22" />
        <path class="run" d="M320 29 L100 53 A22 22 0 0 0 100 97 L320 121" />
        <path class="run dash" d="M320 29 A46 46 0 0 1 320 121" />
      </g>
      <g v-else-if="what === 'inner_ends' || what === 'pin_ends'" class="line">
        <template v-for="n in 3" :key="n">
          <rect :x="20 + (n - 1) * 52" :y="n % 2 ? 58 : 52" width="60" :height="n % 2 ? 28 : 40" rx="13" :class="{ soft: n % 2 === 0 }" />
        </template>
        <template v-for="n in 3" :key="`r${n}`">
          <rect
            :x="236 + (n - 1) * 52"
            :y="n % 2 === (what === 'inner_ends' ? 1 : 0) ? 58 : 52"
            width="60"
            :height="n % 2 === (what === 'inner_ends' ? 1 : 0) ? 28 : 40"
            rx="13"
            :class="{ soft: n % 2 !== (what === 'inner_ends' ? 1 : 0) }" />
        </template>
        <template v-if="what === 'pin_ends'"><circle cx="251" cy="72" r="5" class="fill" /></template>
        <text x="20" y="124">{{ t('drawing.inner_end') }}</text>
        <text x="236" y="124">{{ what === 'inner_ends' ? t('drawing.inner_end') : t('drawing.outer_end') }}</text>
      </g>
      <g v-else-if="what === 'direction'" class="line">
        <circle cx="120" cy="150" r="70" class="soft" />
        <path class="fill" d="M60 56 h180 a16 16 0 0 1 0 32 h-180 a16 16 0 0 1 0 -32 z" fill-opacity="0" />
        <path d="M44 72 a16 16 0 0 1 16 -16 h180 a16 16 0 0 1 16 16 a16 16 0 0 1 -16 16 C190 80 110 80 60 88 a16 16 0 0 1 -16 -16 z" />
        <circle cx="60" cy="72" r="7" />
        <circle cx="240" cy="72" r="7" />
        <path class="run" d="M100 70 h86 m-14 -8 l14 8 -14 8" />
        <text x="270" y="66">{{ t('drawing.arrow') }}</text>
        <text x="270" y="92">{{ t('drawing.curved') }}</text>
      </g>
      <g v-else-if="what === 'teeth'" class="line">
        <path :d="row(16, 0, 4)" />
        <path :d="row(152, 7, 4)" />
        <path :d="row(290, 3, 14, 3)" />
        <text x="16" y="92">{{ t('teeth.good') }}</text>
        <text x="152" y="92">{{ t('teeth.hooked') }}</text>
        <text x="290" y="92">{{ t('teeth.gaps') }}</text>
      </g>
      <g v-else-if="what === 'sprockets'" class="line">
        <path v-for="n in 5" :key="n" :d="`M${80 + n * 40} ${18 + n * 8} v${136 - n * 16}`" class="thick" />
        <path class="run" d="M172 8 v130 a8 8 0 0 0 16 0 V8" />
        <text x="204" y="16">{{ t('drawing.cloth') }}</text>
      </g>
      <g v-else-if="what === 'box'" class="line">
        <path d="M60 50 v70 h240 v-70" />
        <path class="soft" d="M60 76 h240" />
        <path class="run" d="M180 98 m-60 0 a60 15 0 1 1 120 0 a60 15 0 1 1 -120 0 m22 0 a38 8 0 1 1 76 0" />
        <text x="314" y="80">{{ t('drawing.just_covered') }}</text>
      </g>
      <g v-else class="line">
        <path d="M40 60 v44 h320 v-44" />
        <path class="soft" d="M40 76 h320" />
        <path class="run" d="M64 90 h250 a5 5 0 0 1 0 8 h-250" />
        <path d="M50 102 h300" class="thick" />
        <path d="M50 102 v-70 M350 102 v-70" />
        <text x="150" y="50">{{ t('drawing.board') }}</text>
      </g>
    </svg>
  </figure>
</template>

<style scoped>
.drawing {
  margin: 4px 0 16px;
  max-width: 520px;
}
svg {
  width: 100%;
  height: auto;
}
.line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.soft {
  stroke: var(--steel-2);
}
.run {
  stroke: var(--amber);
  stroke-width: 5;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.dash {
  stroke-dasharray: 2 10;
}
.thick {
  stroke-width: 6;
}
.fill {
  fill: var(--ink);
}
text {
  fill: var(--ink);
  stroke: none;
  font-size: 16px;
  font-weight: 560;
}
</style>
