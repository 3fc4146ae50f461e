<script setup lang="ts">
import { computed } from 'vue'
import { t } from '@/composables/useText'
import type { LaneDayView, PlanLane, PlanView } from '@/types/server'

/** The coming weeks of one bike: the wax of the chain that is on burning down as a saw-tooth, its rides below. */
const props = defineProps<{
  lane: PlanLane
  days: PlanView['days']
  /** The pot days, as places among the days. */
  pots: number[]
  /** The day that is told of. */
  told: number | null
}>()
const emit = defineEmits<{ tell: [day: number] }>()
const W = 26
const HIGH = 74
const FLOOR = 80
const LANE = 112
const wide = computed(() => props.days.length * W)
const x = (day: number) => day * W
/** The coat: level until the ride, falling with it. */
function coat(days: LaneDayView[]): string {
  const y = (left: number) => (FLOOR - HIGH * left).toFixed(1)
  let path = `M0 ${FLOOR}`
  days.forEach((day, i) => {
    path += `L${x(i)} ${y(day.before)}L${(x(i) + W * 0.35).toFixed(1)} ${y(day.before)}L${(x(i) + W * 0.65).toFixed(1)} ${y(day.after)}L${x(i + 1)} ${y(day.after)}`
  })
  return `${path}L${x(days.length)} ${FLOOR}Z`
}
const tell = (day: number) => emit('tell', Math.max(0, Math.min(props.days.length - 1, day)))
function point(event: PointerEvent): void {
  const box = (event.currentTarget as Element).getBoundingClientRect()
  tell(Math.floor(((event.clientX - box.left) / box.width) * props.days.length))
}
const left = (day: number) => ({ left: `${(100 * day) / props.days.length}%` })
const marked = computed(() =>
  props.lane.days.map((day, i) => ({ day, i })).filter(({ day }) => day.swap || day.drip || day.kept || day.measure || day.broken),
)
</script>

<template>
  <div class="who">
    <b class="wide">{{ lane.name }}</b><span class="small muted">{{ lane.about }}</span>
  </div>
  <svg
    :viewBox="`0 0 ${wide} ${LANE}`"
    preserveAspectRatio="none"
    :height="LANE"
    role="slider"
    tabindex="0"
    aria-valuemin="1"
    :aria-valuemax="days.length"
    :aria-valuenow="(told ?? 0) + 1"
    :aria-valuetext="lane.days[told ?? 0]?.text"
    :aria-label="t('ahead.lane', { bike: lane.name })"
    :data-test="`lane-${lane.name}`"
    @focus="told === null && tell(0)"
    @pointerdown="point"
    @pointermove="point"
    @keydown.left.prevent="tell((told ?? 0) - 1)"
    @keydown.right.prevent="tell((told ?? 0) + 1)">
    <template v-for="(day, i) in days" :key="day.date">
      <rect v-if="day.weekend" :x="x(i)" y="0" :width="W" :height="LANE" class="weekend" />
    </template>
    <rect v-for="pot in pots" :key="pot" :x="x(pot) + W * 0.15" y="0" :width="W * 0.7" :height="LANE" class="column" />
    <path :d="coat(lane.days)" class="coat" />
    <template v-for="(day, i) in lane.days" :key="i">
      <rect
        v-if="day.ride > 0"
        :x="x(i) + W * 0.3"
        :y="FLOOR + 4"
        :width="W * 0.4"
        :height="3 + 20 * day.ride"
        :class="day.broken ? 'broken' : 'ride'" />
    </template>
    <rect v-if="told !== null" :x="x(told)" y="0" :width="W" :height="LANE" class="told" />
  </svg>
  <div class="marks" aria-hidden="true">
    <template v-for="{ day, i } in marked" :key="i">
      <span v-if="day.swap" class="tag" :style="left(i)" :title="day.text">{{ day.swap }}</span>
      <span v-if="day.drip" class="drip" :style="left(i)" :title="day.text">{{ t('verbs.topup') }} {{ day.drip }}</span>
      <span v-if="day.kept" class="tag" :style="left(i)" :title="day.text">{{ day.kept }}</span>
      <span v-if="day.measure" class="measure" :style="left(i)" :title="day.text">{{ t('verbs.measure') }} {{ day.measure }}</span>
      <span v-if="day.broken" class="gap" :style="left(i)" :title="day.text">!</span>
    </template>
  </div>
  <ul class="sr">
    <li v-for="(day, i) in lane.days.filter((one) => one.ride > 0 || one.swap || one.drip || one.pot)" :key="i">{{ day.text }}</li>
  </ul>
</template>

<style scoped>
.who {
  align-self: center;
  padding-right: 10px;
  line-height: 1.3;
}
.who b,
.who span {
  display: block;
}
svg {
  width: 100%;
  grid-column: 2;
  display: block;
}
.weekend {
  fill: var(--steel-2);
  opacity: 0.16;
}
.column {
  fill: var(--amber);
  opacity: 0.45;
}
.coat {
  fill: var(--coat);
  stroke: var(--coat-line);
  stroke-width: 1.2;
  vector-effect: non-scaling-stroke;
}
.ride {
  fill: var(--steel);
}
.broken {
  fill: var(--ember);
}
.told {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.2;
  vector-effect: non-scaling-stroke;
}
.marks {
  grid-column: 2;
  position: relative;
  height: 0;
  top: -118px;
}
.tag,
.drip,
.measure,
.gap {
  position: absolute;
  font-size: var(--type-2);
  font-weight: 700;
  line-height: 1;
  padding: 3px 6px;
  border-radius: 3px;
}
.tag {
  background: var(--ready);
  color: var(--paper);
  transform: translateX(-30%);
}
.drip {
  top: 84px;
  font-size: var(--type-1);
  background: var(--paper);
  border: 1.2px solid var(--ink);
  transform: translateX(-60%);
  white-space: nowrap;
}
.measure {
  top: 58px;
  font-size: var(--type-1);
  border: 1.2px dashed var(--ink);
  background: var(--paper);
  white-space: nowrap;
}
.gap {
  top: 62px;
  background: var(--ember);
  color: var(--paper);
}
</style>
