<script setup lang="ts">
import { mdiCalendarBlankOutline, mdiChevronLeft, mdiChevronRight } from '@mdi/js'
import { computed, nextTick, ref, watch } from 'vue'
import TextField from '@/components/forms/TextField.vue'
import { addDays, addMonths, dayFrom, dayText, isDay, weeksOf } from '@/composables/dates'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'

/** A day as the workshop writes it, typed or chosen from a month. It sends 2026-11-27; what is no day is sent as typed and refused. */
const value = defineModel<string>({ required: true })
defineProps<{ label: string; name: string; errorMessages?: string; hint?: string; density?: 'compact' | 'default' }>()
const here = useHere()
const calendar = computed(() => here.value.calendar)
const text = ref(dayText(value.value, calendar.value))
watch(value, (day) => {
  if (dayFrom(text.value, calendar.value) !== day) text.value = dayText(day, calendar.value)
})
function typed(next: string): void {
  text.value = next
  value.value = next.trim() === '' ? '' : (dayFrom(next, calendar.value) ?? next)
}
const tidy = () => (text.value = dayText(value.value, calendar.value))
// A day on, a day back.
function shift(event: KeyboardEvent): void {
  const days = { ArrowUp: 1, ArrowDown: -1 }[event.key]
  if (days === undefined || !(event.target instanceof HTMLInputElement) || !isDay(value.value)) return
  event.preventDefault()
  value.value = addDays(value.value, days)
  tidy()
}
const open = ref(false)
const shown = ref(calendar.value.today)
const month = ref<HTMLElement | null>(null)
const focus = () => nextTick(() => month.value?.querySelector<HTMLElement>('[tabindex="0"]')?.focus())
function show(on: boolean): void {
  open.value = on
  shown.value = isDay(value.value) ? value.value : calendar.value.today
  if (on) setTimeout(focus)
}
const weekdays = computed(() => calendar.value.days.map((_, i) => calendar.value.days[(i + calendar.value.firstDay - 1) % 7]))
function move(event: KeyboardEvent): void {
  const days = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 }[event.key]
  const months = { PageUp: -1, PageDown: 1 }[event.key]
  if (days === undefined && months === undefined) return
  event.preventDefault()
  shown.value = days === undefined ? addMonths(shown.value, months ?? 0) : addDays(shown.value, days)
  focus()
}
function take(day: string): void {
  value.value = day
  tidy()
  open.value = false
}
</script>

<template>
  <div @keydown="shift">
    <TextField
      :model-value="text"
      :label="label"
      :name="name"
      :error-messages="errorMessages"
      :hint="hint"
      :persistent-hint="!!hint"
      :density="density"
      autocomplete="off"
      @update:model-value="typed"
      @blur="tidy">
      <template #append>
        <v-menu :model-value="open" :close-on-content-click="false" location="bottom end" attach @update:model-value="show">
          <template #activator="{ props: menu }">
            <button v-bind="menu" type="button" class="pick" :aria-label="`${t('calendar.choose')}: ${label}`" :data-test="`pick-${name}`">
              <v-icon :icon="mdiCalendarBlankOutline" size="20" />
            </button>
          </template>
          <div ref="month" class="month" role="dialog" :aria-label="label" @keydown="move">
            <div class="row between">
              <button type="button" :aria-label="t('calendar.earlier')" @click="shown = addMonths(shown, -1)">
                <v-icon :icon="mdiChevronLeft" />
              </button>
              <b aria-live="polite">{{ calendar.months[Number(shown.slice(5, 7)) - 1] }} {{ shown.slice(0, 4) }}</b>
              <button type="button" :aria-label="t('calendar.later')" @click="shown = addMonths(shown, 1)">
                <v-icon :icon="mdiChevronRight" />
              </button>
            </div>
            <table>
              <thead>
                <tr>
                  <th v-for="day in weekdays" :key="day">{{ day }}</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="week in weeksOf(shown, calendar.firstDay)" :key="week[0]">
                  <td v-for="day in week" :key="day">
                    <button
                      type="button"
                      :class="{ on: day === value, today: day === calendar.today, other: day.slice(0, 7) !== shown.slice(0, 7) }"
                      :tabindex="day === shown ? 0 : -1"
                      :aria-label="dayText(day, calendar)"
                      :aria-pressed="day === value"
                      @click="take(day)">
                      {{ Number(day.slice(8)) }}
                    </button>
                  </td>
                </tr>
              </tbody>
            </table>
          </div>
        </v-menu>
      </template>
    </TextField>
  </div>
</template>

<style scoped>
button {
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  cursor: pointer;
}
.pick {
  display: grid;
  place-items: center;
  width: 44px;
  height: 44px;
  margin-right: -12px;
  color: var(--steel);
}
.month {
  background: var(--paper);
  border: 1.5px solid var(--ink);
  border-radius: 3px;
  padding: 8px;
}
.month button {
  width: 40px;
  height: 36px;
}
th {
  font-weight: 560;
  font-size: var(--type-2);
  color: var(--steel);
}
td {
  padding: 0;
}
td button {
  border-radius: 3px;
}
td button:hover {
  background: var(--wall);
}
.other {
  color: var(--steel);
}
.today {
  font-weight: 760;
  text-decoration: underline;
  text-underline-offset: 4px;
}
.on.on {
  background: var(--ink);
  color: var(--paper);
}
</style>
