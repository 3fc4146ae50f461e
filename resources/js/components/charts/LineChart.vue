<script setup lang="ts">
import { computed, ref } from 'vue'
import { t } from '@/composables/useText'
import { useWidth } from '@/composables/useWidth'
import type { ChartLineView, ChartView } from '@/types/server'

/**
 * Lines over two axes. What lies under the pointer, or under the keys, is read out below; all of it stands in a table behind.
 * Only the drawing's scale is made here: every figure and every word of it comes with the chart.
 */
const props = defineProps<{ chart: ChartView; high?: number }>()
// As wide as it stands: words keep their size on a phone.
const figure = ref<HTMLElement | null>(null)
const width = useWidth(figure, 640)
const WIDE = computed(() => Math.max(280, width.value))
const LEFT = 62
const RIGHT = 12
const TOP = 22
const FOOT = 38
const HIGH = computed(() => props.high ?? 260)
const x = (at: number) => LEFT + ((at - props.chart.x.from) / (props.chart.x.to - props.chart.x.from || 1)) * (WIDE.value - LEFT - RIGHT)
const y = (at: number) =>
  HIGH.value - FOOT - ((at - props.chart.y.from) / (props.chart.y.to - props.chart.y.from || 1)) * (HIGH.value - FOOT - TOP)
// On a narrow screen every other word along the foot is left out.
const ticks = computed(() => props.chart.x.ticks.filter((_, i) => WIDE.value > 480 || props.chart.x.ticks.length < 4 || i % 2 === 0))
const n = (value: number) => value.toFixed(1)
// What a level is called stands at its beginning, or at its end where a line goes up there.
const LEVEL_TEXT = 120
const levelsAtEnd = computed(() => props.chart.moments.some((moment) => x(moment.at) < LEFT + LEVEL_TEXT))

const DASHES = ['', '7 4', '2 4', '10 4 2 4', '14 4']
const dash = (index: number) => DASHES[index % DASHES.length]
function path(line: ChartLineView): string {
  return line.points
    .map((at, i) => {
      if (i === 0) return `M${n(x(at.x))} ${n(y(at.y))}`
      return line.kind === 'step' ? `H${n(x(at.x))}V${n(y(at.y))}` : `L${n(x(at.x))} ${n(y(at.y))}`
    })
    .join('')
}
function band(line: ChartLineView): string | null {
  const around = line.kind === 'line' ? line.points.filter((at) => at.low !== null && at.high !== null) : []
  if (around.length < 2) return null
  const edge = (of: 'low' | 'high') => around.map((at) => `${n(x(at.x))} ${n(y(at[of] ?? at.y))}`)
  return `M${edge('low').join('L')}L${edge('high').reverse().join('L')}Z`
}

// What is known only to lie between two values has no dot.
const ranges = computed(() => props.chart.lines.some((line) => line.kind === 'dots' && line.points.some((dot) => dot.text !== null)))
const bars = computed(() => props.chart.lines.every((line) => line.kind === 'bars'))
const at = ref<number | null>(null)
const row = computed(() => (at.value === null ? null : (props.chart.rows[at.value] ?? null)))
const said = computed(() => {
  if (!row.value) return null
  const values = row.value.cells.slice(1).flatMap((text, i) => (text ? [`${props.chart.columns[i + 1]} ${text}`] : []))
  return `${row.value.cells[0]}: ${values.join('; ')}`
})
function point(event: PointerEvent): void {
  const box = (event.currentTarget as SVGElement).getBoundingClientRect()
  const here = ((event.clientX - box.left) / box.width) * WIDE.value
  let best: number | null = null
  props.chart.rows.forEach((one, i) => {
    const nearest = best === null ? null : props.chart.rows[best]
    if (!nearest || Math.abs(x(one.x) - here) < Math.abs(x(nearest.x) - here)) best = i
  })
  at.value = best
}
function step(event: KeyboardEvent): void {
  const last = props.chart.rows.length - 1
  const to = {
    ArrowLeft: Math.max(0, (at.value ?? last + 1) - 1),
    ArrowRight: Math.min(last, (at.value ?? -1) + 1),
    Home: 0,
    End: last,
    Escape: null,
  }[event.key]
  if (to === undefined) return
  at.value = to
  event.preventDefault()
}
</script>

<template>
  <figure ref="figure" class="line-chart">
    <svg
      :viewBox="`0 0 ${WIDE} ${HIGH}`"
      role="img"
      :aria-label="`${chart.title}. ${t('chart.how')}`"
      :height="HIGH"
      tabindex="0"
      data-test="chart"
      @pointermove="point"
      @pointerdown="point"
      @pointerleave="at = null"
      @keydown="step"
      @blur="at = null">
      <rect
        v-if="chart.zone"
        :x="LEFT"
        :width="WIDE - LEFT - RIGHT"
        :y="y(chart.zone.to)"
        :height="Math.max(0, y(chart.zone.from) - y(chart.zone.to))"
        class="zone" />
      <template v-if="chart.span">
        <rect :x="x(chart.span.from)" :width="x(chart.span.to) - x(chart.span.from)" :y="TOP" :height="HIGH - FOOT - TOP" class="zone" />
        <text :x="x(chart.span.to) + 6" :y="HIGH - FOOT - 8">{{ chart.span.text }}</text>
      </template>
      <template v-for="tick in chart.y.ticks" :key="`y${tick.at}`">
        <line :x1="LEFT" :x2="WIDE - RIGHT" :y1="y(tick.at)" :y2="y(tick.at)" class="grid" />
        <text :x="LEFT - 7" :y="y(tick.at) + 4" text-anchor="end">{{ tick.text }}</text>
      </template>
      <template v-for="tick in ticks" :key="`x${tick.at}`">
        <line :x1="x(tick.at)" :x2="x(tick.at)" :y1="HIGH - FOOT" :y2="HIGH - FOOT + 5" class="tick" />
        <text :x="x(tick.at)" :y="HIGH - FOOT + 18" :text-anchor="x(tick.at) > WIDE - 40 ? 'end' : 'middle'">{{ tick.text }}</text>
      </template>
      <text :x="LEFT" y="12" class="axis">{{ chart.y.title }}</text>
      <text :x="WIDE - RIGHT" :y="HIGH - 4" text-anchor="end" class="axis">{{ chart.x.title }}</text>
      <line :x1="LEFT" :x2="WIDE - RIGHT" :y1="HIGH - FOOT" :y2="HIGH - FOOT" class="ground" />
      <text v-if="chart.zone" :x="WIDE - RIGHT - 4" :y="y(chart.zone.from) - 5" text-anchor="end">{{ chart.zone.text }}</text>
      <template v-for="level in chart.levels" :key="level.text">
        <line :x1="LEFT" :x2="WIDE - RIGHT" :y1="y(level.at)" :y2="y(level.at)" class="level" />
        <text
          :x="levelsAtEnd ? WIDE - RIGHT - 6 : LEFT + 6"
          :y="y(level.at) < TOP + 6 ? y(level.at) + 14 : y(level.at) - 5"
          :text-anchor="levelsAtEnd ? 'end' : 'start'"
          class="level-text">
          {{ level.text }}
        </text>
      </template>
      <template v-for="moment in chart.moments" :key="moment.text">
        <line :x1="x(moment.at)" :x2="x(moment.at)" :y1="TOP" :y2="HIGH - FOOT" class="moment" />
        <text
          :x="x(moment.at) + (x(moment.at) > WIDE * 0.8 ? -5 : 5)"
          :y="TOP + 9"
          :text-anchor="x(moment.at) > WIDE * 0.8 ? 'end' : 'start'"
          class="strong">
          {{ moment.text }}
        </text>
      </template>
      <line
        v-if="chart.stretch && chart.stretch.from < chart.x.to"
        :x1="x(chart.stretch.from)"
        :x2="x(Math.min(chart.x.to, chart.stretch.to))"
        :y1="y(chart.stretch.y)"
        :y2="y(chart.stretch.y)"
        class="stretch"
        data-test="chart-stretch" />
      <g v-for="(line, i) in chart.lines" :key="line.name">
        <path v-if="band(line)" :d="band(line) ?? ''" class="band" />
        <template v-if="line.kind === 'bars'">
          <rect
            v-for="bar in line.points"
            :key="bar.x"
            :x="x(bar.x) + 1"
            :width="Math.max(1, (WIDE - LEFT - RIGHT) / line.points.length - 2)"
            :y="y(bar.y)"
            :height="HIGH - FOOT - y(bar.y)"
            class="bar"
            :class="{ on: bar.x === row?.x }" />
        </template>
        <path v-else-if="line.kind !== 'dots'" :d="path(line)" class="line" :stroke-dasharray="dash(i)" />
        <template v-else>
          <template v-for="(dot, k) in line.points" :key="k">
            <line
              v-if="dot.low !== null && dot.high !== null"
              :x1="x(dot.x)"
              :x2="x(dot.x)"
              :y1="y(dot.low)"
              :y2="y(dot.high)"
              :class="dot.text === null ? 'around' : 'between'" />
            <circle v-if="dot.text === null" :cx="x(dot.x)" :cy="y(dot.y)" r="4" class="dot" />
          </template>
        </template>
      </g>
      <template v-if="row">
        <line v-if="!bars" :x1="x(row.x)" :x2="x(row.x)" :y1="TOP" :y2="HIGH - FOOT" class="here" />
        <template v-for="line in chart.lines" :key="line.name">
          <circle
            v-for="dot in line.kind === 'bars' ? [] : line.points.filter((one) => one.x === row?.x)"
            :key="dot.y"
            :cx="x(dot.x)"
            :cy="y(dot.y)"
            r="4.5"
            class="on" />
        </template>
      </template>
    </svg>
    <figcaption>
      <p v-if="chart.lines.length > 1" class="keys">
        <span v-for="(line, i) in chart.lines" :key="line.name">
          <svg width="30" height="10" aria-hidden="true">
            <circle v-if="line.kind === 'dots'" cx="15" cy="5" r="4" class="dot" />
            <line v-else x1="0" x2="30" y1="5" y2="5" class="line" :stroke-dasharray="dash(i)" />
          </svg>
          {{ line.name }}
        </span>
        <span v-if="ranges">
          <svg width="30" height="14" aria-hidden="true"><line x1="15" x2="15" y1="0" y2="14" class="between" /></svg>
          {{ t('chart.range') }}
        </span>
      </p>
      <p class="said" aria-live="polite" data-test="chart-said">{{ said ?? '\u00a0' }}</p>
      <details>
        <summary>{{ t('chart.table') }}</summary>
        <div class="scroll" tabindex="0" role="region" :aria-label="chart.title">
          <table class="plain">
            <thead>
              <tr>
                <th v-for="column in chart.columns" :key="column">{{ column }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="one in chart.rows" :key="one.x">
                <component :is="i ? 'td' : 'th'" v-for="(cell, i) in one.cells" :key="i" :scope="i ? undefined : 'row'">{{
                  cell
                }}</component>
              </tr>
            </tbody>
          </table>
        </div>
      </details>
    </figcaption>
  </figure>
</template>

<style scoped>
.line-chart {
  margin: 10px 0;
  max-width: 720px;
}
.line-chart > svg {
  display: block;
  width: 100%;
  touch-action: pan-y;
}
.line-chart > svg:focus-visible {
  outline: 2.5px solid var(--ink);
  outline-offset: 2px;
}
text {
  font-size: var(--type-2);
  fill: var(--steel);
}
.axis,
.strong {
  fill: var(--ink);
  font-weight: 620;
}
.grid {
  stroke: var(--line);
}
.bar {
  fill: var(--steel);
}
.bar.on {
  fill: var(--ink);
}
.tick,
.ground {
  stroke: var(--steel-2);
}
.zone {
  fill: var(--coat);
  opacity: 0.75;
}
.band {
  fill: var(--steel-2);
  opacity: 0.35;
}
.line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.level {
  stroke: var(--ember);
  stroke-width: 2;
}
.level-text {
  fill: var(--ember);
  font-weight: 620;
}
.moment {
  stroke: var(--ink);
  stroke-dasharray: 3 4;
}
.stretch {
  stroke: var(--ember);
  stroke-width: 8;
  opacity: 0.45;
}
.around {
  stroke: var(--ink);
  stroke-width: 1.4;
}
.between {
  stroke: var(--ink);
  stroke-width: 5;
  opacity: 0.4;
}
.dot {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.8;
}
.here {
  stroke: var(--ready);
  stroke-width: 1.5;
}
.on {
  fill: var(--ready);
}
p {
  margin: 2px 0;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  font-size: var(--type-3);
}
.keys span {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.said {
  font-size: var(--type-3);
  color: var(--steel);
  min-height: 1.5em;
}
summary {
  min-height: 32px;
  cursor: pointer;
  font-size: var(--type-3);
}
.scroll {
  max-height: 260px;
  overflow: auto;
}
td,
th {
  text-align: left;
  white-space: nowrap;
  padding-right: 18px;
}
</style>
