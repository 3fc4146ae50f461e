<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, ref } from 'vue'
import BikeLane from './BikeLane.vue'
import { useInTurn } from '@/composables/useInTurn'
import { t } from '@/composables/useText'
import { useWidth } from '@/composables/useWidth'
import type { PlanView, PlannedRideView } from '@/types/server'

/** The coming weeks: each bike's wax burning down as a saw-tooth, its rides below, the pot days through all of them. */
const props = defineProps<{ plan: PlanView; rides: PlannedRideView[]; chosen: string | null; movable: boolean }>()
const emit = defineEmits<{ choose: [date: string]; move: [from: string, to: string] }>()
const lanes = useInTurn(() => props.plan.lanes, 2)
// What happens on a day stands below the lanes as soon as somebody points at it, or goes there with the keys.
const told = ref<{ bike: number; day: number } | null>(null)
const toldDay = computed(() => {
  const lane = props.plan.lanes.find((one) => one.bike === told.value?.bike)
  const day = lane?.days[told.value?.day ?? 0]
  return lane && day ? { lane: lane.name, text: day.text } : null
})
// A name needs more room than its day: so many columns, towards the middle where the strip ends.
const ROOM = 6
const strip = computed(() =>
  props.rides
    .filter((ride) => ride.first !== null)
    .map((ride) => {
      const first = ride.first ?? 0
      const days = ride.last - first + 1
      const room = Math.max(days, Math.min(ROOM, props.plan.days.length))
      const from = Math.min(first, props.plan.days.length - room)
      return { ...ride, from: from + 1, room, bar: { left: (100 * (first - from)) / room, width: (100 * days) / room } }
    }),
)
const potDay = (date: string) => props.plan.days.findIndex((day) => day.potDate === date)
const area = ref<HTMLElement | null>(null)
const held = ref<{ from: string; to: string } | null>(null)
function dateAt(clientX: number): string | null {
  const box = area.value?.getBoundingClientRect()
  if (!box) return null
  const day = Math.floor(((clientX - box.left) / box.width) * props.plan.days.length)
  return props.plan.days[Math.min(props.plan.days.length - 1, Math.max(0, day))]?.potDate ?? null
}
function grab(event: PointerEvent, date: string): void {
  emit('choose', date)
  if (!props.movable || event.button !== 0) return
  held.value = { from: date, to: date }
}
useEventListener(window, 'pointermove', (event: PointerEvent) => {
  if (!held.value) return
  held.value.to = dateAt(event.clientX) ?? held.value.to
})
useEventListener(window, 'pointerup', () => {
  if (held.value && held.value.to !== held.value.from) emit('move', held.value.from, held.value.to)
  held.value = null
})
function step(date: string, by: number): void {
  const to = props.plan.days[potDay(date) + by]?.potDate
  if (props.movable && to) emit('move', date, to)
}
// A label that the next one would touch is left out; the last ones count.
const width = useWidth(area)
const LABEL = 52
const roomy = computed(() => {
  const labelled = props.plan.days.flatMap((day, i) =>
    day.label ? [{ date: day.date, x: (i * width.value) / props.plan.days.length }] : [],
  )
  const shown = new Set<string>()
  let next = Infinity
  for (const one of labelled.reverse()) {
    if (next - one.x < LABEL) continue
    shown.add(one.date)
    next = one.x
  }
  return shown
})
const at = (date: string) => (held.value?.from === date ? held.value.to : date)
const pots = computed(() => props.plan.pots.map((pot) => potDay(at(pot.date))))
</script>

<template>
  <div>
    <div class="scroll">
      <div class="grid" :style="{ minWidth: `${130 + plan.days.length * 14}px` }">
        <span class="corner small muted">{{ t('ahead.pot_row') }}</span>
        <div ref="area" class="axis">
          <span
            v-for="(day, i) in plan.days"
            v-show="roomy.has(day.date)"
            :key="day.date"
            class="label small muted"
            :style="{ left: `${(100 * i) / plan.days.length}%` }"
            >{{ day.label }}</span
          >
          <button
            v-for="pot in plan.pots"
            :key="pot.date"
            type="button"
            class="pot"
            :class="{ chosen: chosen === pot.date, held: held?.from === pot.date }"
            :style="{ left: `${(100 * (potDay(at(pot.date)) + 0.5)) / plan.days.length}%` }"
            :title="pot.text"
            :aria-label="`${t('ahead.pot_day')}, ${pot.label}. ${pot.text}`"
            :aria-pressed="chosen === pot.date"
            :data-test="`pot-${pot.date}`"
            @pointerdown="grab($event, pot.date)"
            @focus="emit('choose', pot.date)"
            @keydown.left.prevent="step(pot.date, -1)"
            @keydown.right.prevent="step(pot.date, 1)">
            {{ pot.label }}<span v-if="pot.pinned" aria-hidden="true"> •</span>
          </button>
        </div>
        <template v-if="strip.length">
          <span class="small muted">{{ t('ahead.rides') }}</span>
          <ol class="strip" :style="{ gridTemplateColumns: `repeat(${plan.days.length}, minmax(0, 1fr))` }" data-test="strip">
            <li
              v-for="ride in strip"
              :key="ride.id"
              :class="{ off: ride.off, late: ride.bar.left > 0 }"
              :style="{ gridColumn: `${ride.from} / span ${ride.room}` }"
              :title="ride.text">
              <span class="bar" :style="{ marginLeft: `${ride.bar.left}%`, width: `${ride.bar.width}%` }" />
              <span aria-hidden="true">{{ ride.tag }}</span><span class="sr">{{ ride.text }}</span>
            </li>
          </ol>
        </template>
        <BikeLane
          v-for="lane in lanes"
          :key="lane.bike"
          :lane="lane"
          :days="plan.days"
          :pots="pots"
          :told="told?.bike === lane.bike ? told.day : null"
          @tell="told = { bike: lane.bike, day: $event }" />
      </div>
    </div>
    <p v-if="lanes.length === plan.lanes.length" class="told small" data-test="told">
      {{ toldDay ? `${toldDay.lane}, ${toldDay.text}` : t('ahead.point') }}
    </p>
  </div>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr);
  row-gap: 6px;
  position: relative;
}
.axis {
  position: relative;
  height: 52px;
}
.corner {
  align-self: end;
}
.label {
  position: absolute;
  bottom: 2px;
  white-space: nowrap;
}
.pot {
  position: absolute;
  top: 2px;
  transform: translateX(-50%);
  font: inherit;
  font-size: var(--type-2);
  font-weight: 700;
  min-height: 26px;
  padding: 2px 8px;
  white-space: nowrap;
  background: var(--amber);
  color: #1d1503;
  border: 1.5px solid var(--amber);
  border-radius: 3px;
  cursor: grab;
  touch-action: none;
  z-index: 2;
}
@media (max-width: 52.49em) {
  .scroll {
    padding-top: 18px;
  }
  .pot {
    min-height: 44px;
    min-width: 44px;
    top: -16px;
  }
}
.pot.chosen {
  border-color: var(--ink);
}
.pot.held {
  cursor: grabbing;
  opacity: 0.8;
}
.strip {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-auto-flow: dense;
  row-gap: 2px;
}
.strip li {
  font-size: var(--type-1);
  line-height: 1.3;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.strip .late {
  text-align: right;
}
.bar {
  display: block;
  height: 6px;
  border-radius: 2px;
  background: var(--ready);
}
.off .bar {
  background: repeating-linear-gradient(45deg, var(--steel) 0 2px, transparent 2px 5px);
}
.told {
  min-height: 20px;
  margin: 4px 0 0;
}
</style>
