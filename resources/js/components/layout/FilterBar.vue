<script setup lang="ts">
import { router } from '@inertiajs/vue3'
import { computed, onUnmounted, ref } from 'vue'
import DateField from '@/components/forms/DateField.vue'
import SystemSelect from '@/components/forms/SystemSelect.vue'
import { isDay } from '@/composables/dates'
import { isLooking, queryOf } from '@/composables/searchAddress'
import { t } from '@/composables/useText'
import type { SearchView } from '@/types/server'

/** Looks for something in a long list: words, bike, chain, condition, days, or from a month on. What is chosen stands in the address. */
const props = defineProps<{
  url: string
  search: SearchView
  bikes: { value: number; title: string }[]
  chains: { value: number; title: string }[]
  conditions?: { value: string; title: string }[]
  months: { value: string; title: string }[]
}>()
const any = (title: string) => ({ value: null, title })
const bikes = computed(() => [any(t('filter.any_bike')), ...props.bikes])
const chains = computed(() => [any(t('filter.any_chain')), ...props.chains])
const conditions = computed(() => [{ value: '', title: t('filter.any_condition') }, ...(props.conditions ?? [])])
const months = computed(() => [{ value: '', title: t('filter.latest') }, ...props.months])
const month = computed(() => (props.months.some((one) => one.value === props.search.to) ? props.search.to : ''))
const text = ref(props.search.text)
// On the phone only the words are asked for at first.
const more = ref(isLooking({ ...props.search, text: '' }))
const days = ref(props.search.from !== '')
const looking = computed(() => isLooking(props.search))

function show(changes: Partial<SearchView>): void {
  const query = queryOf({ ...props.search, text: text.value, ...changes })
  router.get(props.url, query, { preserveScroll: true, preserveState: true, replace: true })
}
// Half a date is not looked for yet.
const showDay = (end: 'from' | 'to', day: string) => (day === '' || isDay(day)) && show({ [end]: day })
let waiting: number | undefined
function typed(): void {
  window.clearTimeout(waiting)
  waiting = window.setTimeout(() => show({}), 300)
}
onUnmounted(() => window.clearTimeout(waiting))
function clear(): void {
  text.value = ''
  days.value = false
  show({ text: '', bike: null, chain: null, condition: '', from: '', to: '' })
}
</script>

<template>
  <form class="filter" :class="{ more }" role="search" @submit.prevent="show({})">
    <input
      v-model="text"
      type="search"
      class="slim"
      name="search"
      :placeholder="t('filter.text')"
      :aria-label="t('filter.text')"
      @input="typed" />
    <SystemSelect
      :model-value="search.bike"
      :options="bikes"
      :aria-label="t('filter.bike')"
      class="extra"
      :class="{ set: search.bike !== null }"
      data-test="filter-bike"
      @update:model-value="show({ bike: $event, chain: null })" />
    <SystemSelect
      :model-value="search.chain"
      :options="chains"
      :aria-label="t('filter.chain')"
      class="extra"
      :class="{ set: search.chain !== null }"
      data-test="filter-chain"
      @update:model-value="show({ chain: $event, bike: null })" />
    <SystemSelect
      v-if="props.conditions"
      :model-value="search.condition"
      :options="conditions"
      :aria-label="t('filter.condition')"
      class="extra"
      :class="{ set: search.condition !== '' }"
      data-test="filter-condition"
      @update:model-value="show({ condition: $event })" />
    <SystemSelect
      v-if="!days"
      :model-value="month"
      :options="months"
      :aria-label="t('filter.month')"
      class="extra"
      :class="{ set: month !== '' }"
      data-test="filter-month"
      @update:model-value="show({ to: $event, from: '' })" />
    <template v-if="days">
      <DateField
        :model-value="search.from"
        :label="t('filter.from')"
        density="compact"
        name="from"
        @update:model-value="showDay('from', $event)" />
      <DateField :model-value="search.to" :label="t('filter.to')" density="compact" name="to" @update:model-value="showDay('to', $event)" />
    </template>
    <span class="links">
      <button v-if="!more" type="button" class="as-link phone" data-test="filter-more" @click="more = true">{{ t('filter.more') }}</button>
      <button v-if="!days" type="button" class="as-link" data-test="filter-days" @click="days = true">{{ t('filter.days') }}</button>
      <button v-if="looking" type="button" class="as-link" data-test="filter-clear" @click="clear">{{ t('filter.clear') }}</button>
    </span>
  </form>
</template>

<style scoped>
.filter {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin: 8px 0 12px;
}
.filter > * {
  flex: 1 1 136px;
  min-width: 0;
}
.filter > :first-child {
  flex-grow: 2;
}
.filter > .links {
  flex: 0 1 auto;
}
/* What narrows the list is in bold. */
.set {
  font-weight: 680;
}
.phone {
  display: none;
}
.links {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
}
@media (max-width: 52.49em) {
  .filter {
    display: grid;
    grid-template-columns: 1fr 1fr;
  }
  .filter:not(.more) .extra {
    display: none;
  }
  .phone {
    display: inline-block;
  }
  .filter > :first-child,
  .links {
    grid-column: 1 / -1;
  }
}
</style>
