<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { computed, onMounted, ref } from 'vue'
import CatchUpDialog from '@/components/forms/CatchUpDialog.vue'
import ConditionDialog from '@/components/forms/ConditionDialog.vue'
import MoveRidesDialog from '@/components/forms/MoveRidesDialog.vue'
import PushButton from '@/components/layout/PushButton.vue'
import RideDialog from '@/components/forms/RideDialog.vue'
import SplitDialog from '@/components/forms/SplitDialog.vue'
import EmptyState from '@/components/layout/EmptyState.vue'
import InTurn from '@/components/layout/InTurn.vue'
import FilterBar from '@/components/layout/FilterBar.vue'
import SortHead from '@/components/layout/SortHead.vue'
import AppShell from '@/components/layout/AppShell.vue'
import DayStrip from '@/components/ride/DayStrip.vue'
import InboxPanel from '@/components/ride/InboxPanel.vue'
import TrackDrop from '@/components/ride/TrackDrop.vue'
import { queryOf } from '@/composables/searchAddress'
import { useHere } from '@/composables/useHere'
import { useKeys } from '@/composables/useKeys'
import { useFew } from '@/composables/useFew'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { RideView, RidePage } from '@/types/server'

const props = defineProps<RidePage>()
const here = useHere()
const few = useFew(() => props.rides, 10)
const open = ref(false)
const editing = ref<RideView | null>(null)
const splitting = ref<RideView | null>(null)
const catchingUp = ref(false)
const estimate = ref<{ id: number; bike: number; values: NonNullable<NonNullable<RideView['guess']>['values']> } | null>(null)
const moving = ref(false)
const chosen = ref<number[]>([])
const splitOpen = computed({ get: () => splitting.value !== null, set: (on: boolean) => !on && (splitting.value = null) })
const movingOpen = computed({
  get: () => moving.value,
  set: (on: boolean) => {
    moving.value = on
    if (!on) chosen.value = []
  },
})
const setting = ref(false)
const settingOpen = computed({
  get: () => setting.value,
  set: (on: boolean) => {
    setting.value = on
    if (!on) chosen.value = []
  },
})
const bikes = computed(() => props.forms.bikes.map((bike) => ({ value: bike.id, title: bike.name })))
const show = (changes: { page?: number; sort?: string }) =>
  router.get('/rides', queryOf({ ...props.search, ...changes }), { preserveScroll: true, preserveState: true })
const sort = (by: string) => show({ sort: by })

function log(ride: RideView | null): void {
  editing.value = ride
  open.value = true
}
function choose(ride: RideView): void {
  chosen.value = [ride.id]
  moving.value = true
}
const settle = (ride: RideView, ridden: boolean) =>
  write('post', `/bikes/${ride.bike}/commute-days`, { dates: [ride.guess?.date ?? ''], ridden })
function change(ride: RideView): void {
  if (!ride.guess?.values || !ride.guess.estimate || ride.bike === null) return
  estimate.value = { id: ride.guess.estimate, bike: ride.bike, values: ride.guess.values }
  catchingUp.value = true
}
function catchUp(): void {
  estimate.value = null
  catchingUp.value = true
}
const removeEstimate = (ride: RideView) => write('delete', `/entries/estimates/${ride.guess?.estimate}`)
const remove = (ride: RideView) => write('delete', `/entries/rides/${ride.id}`)
/** What can be done with a ride: settle what filled itself in, say whose it was, or put it right. */
const acts = (ride: RideView) =>
  ride.estimated
    ? [
        { test: 'confirm-day', text: t('rides.confirm'), do: () => settle(ride, true) },
        { test: 'not-ridden', text: t('rides.not_ridden'), do: () => settle(ride, false) },
        ...(ride.guess?.values ? [{ test: 'change-estimate', text: t('verbs.edit'), do: () => change(ride) }] : []),
        ...(ride.guess?.estimate ? [{ test: 'drop-estimate', text: t('rides.drop_estimate'), do: () => removeEstimate(ride) }] : []),
      ]
    : [
        ride.bike === null
          ? { test: 'which-bike', text: t('move_rides.which'), do: () => choose(ride) }
          : { test: 'split-ride', text: t('split.verb'), do: () => (splitting.value = ride) },
        { test: 'edit-ride', text: t('verbs.edit'), do: () => log(ride) },
        { test: 'delete-ride', text: t('verbs.delete'), do: () => remove(ride) },
      ]
// The phone's home screen leads here with the form open.
onMounted(() => {
  if (new URLSearchParams(window.location.search).has('log') && here.value.mayWrite && props.forms.bikes.length) log(null)
})
useKeys({ r: () => here.value.mayWrite && props.forms.bikes.length && log(null) })
</script>

<template>
  <AppShell :title="t('rides.title')" at="rides" whose>
    <div class="page">
      <div class="row head">
        <h1>{{ t('rides.title') }}</h1>
        <PushButton v-if="here.mayWrite && forms.bikes.length" main data-test="log-ride" @click="log(null)">{{
          t('rides.log')
        }}</PushButton>
        <PushButton v-if="here.mayWrite && forms.bikes.length" data-test="catch-up" @click="catchUp">{{ t('catch_up.title') }}</PushButton>
        <PushButton v-if="chosen.length && forms.bikes.length > 1" data-test="move-chosen" @click="moving = true">{{
          t('move_rides.chosen', { count: chosen.length })
        }}</PushButton>
        <PushButton v-if="chosen.length" data-test="set-condition" @click="setting = true">{{ t('set_condition.verb') }}</PushButton>
      </div>
      <EmptyState v-if="!forms.bikes.length" :text="t('rides.no_bikes')" href="/bikes/new" :verb="t('bike.new')" />
      <DayStrip v-else :days="strip" />
      <TrackDrop v-if="here.mayWrite && forms.bikes.length" :megabytes="uploadMegabytes" class="drop" />
      <p v-if="waiting && here.mayWrite" class="waits">
        <Link href="/tracks" data-test="waiting">{{ waiting }}</Link>
      </p>
      <details v-if="wetter.length && here.mayWrite" class="wetter" data-test="wetter">
        <summary>{{ t('weather.rides') }} ({{ wetter.length }})</summary>
        <p class="muted small">{{ t('weather.rides_text') }}</p>
        <ul>
          <li v-for="ride in wetter" :key="ride.id" class="row">
            <span>{{ ride.text }}</span>
            <PushButton
              :aria-label="`${ride.verb}: ${ride.text}`"
              data-test="make-wetter"
              @click="write('post', '/rides/condition', { rides: [ride.id], condition: ride.condition })"
              >{{ ride.verb }}</PushButton
            >
          </li>
        </ul>
      </details>
      <h2 v-if="forms.bikes.length" id="rides" class="sr">{{ t('rides.rides') }}</h2>
      <InTurn
        ><FilterBar
          v-if="months.length"
          url="/rides"
          :search="search"
          :bikes="bikes"
          :chains="chains"
          :conditions="forms.conditions"
          :months="months" />
        <p v-if="found" class="muted" role="status" data-test="found">{{ found }}</p>
        <p v-if="forms.bikes.length && !rides.length && !found" class="muted">{{ t('rides.none') }}</p>
        <table v-if="rides.length" class="plain rides" aria-labelledby="rides">
          <thead>
            <tr>
              <SortHead column="day" :title="t('rides.day')" :sort="search.sort || '-day'" @sort="sort" />
              <SortHead column="bike" :title="t('rides.bike')" :sort="search.sort" @sort="sort" />
              <SortHead column="distance" num :title="t('rides.distance')" :sort="search.sort" @sort="sort" />
              <SortHead column="hours" num class="desk" :title="t('rides.hours')" :sort="search.sort" @sort="sort" />
              <SortHead column="condition" :title="t('rides.condition')" :sort="search.sort" @sort="sort" />
              <th>{{ t('rides.chain') }}</th>
              <th class="desk">{{ t('rides.left') }}</th>
              <th v-if="here.mayWrite">
                <span class="sr">{{ t('rides.actions') }}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="ride in few.shown.value" :key="ride.id" data-test="ride" :class="{ estimated: ride.estimated }">
              <td>
                <input
                  v-if="here.mayWrite && !ride.estimated"
                  v-model="chosen"
                  type="checkbox"
                  class="desk"
                  :value="ride.id"
                  :aria-label="`${t('move_rides.choose')}: ${ride.day}, ${ride.bikeName}, ${ride.km}`"
                  data-test="choose-ride" />
                {{ ride.day }}<span class="muted desk">{{ ride.time ? `, ${ride.time}` : '' }}</span>
              </td>
              <td :class="{ ember: ride.bike === null }">{{ ride.bikeName }}</td>
              <td class="num">
                <b>{{ ride.km }}</b><span v-if="ride.estimated" class="muted mark">{{ t('rides.estimated') }}</span>
              </td>
              <td class="num desk">{{ ride.hours ?? '—' }}</td>
              <td>{{ ride.conditionName }}</td>
              <td>
                <Link v-if="ride.chain" :href="`/chains/${ride.chain.id}`">{{ ride.chain.name }}</Link><span
                  v-else-if="ride.bike !== null"
                  class="ember"
                  >{{ t('rides.no_chain') }}</span
                ><span v-else>–</span>
              </td>
              <td class="muted desk">{{ ride.left ?? '' }}</td>
              <td v-if="here.mayWrite" class="acts">
                <button
                  v-for="act in acts(ride)"
                  :key="act.test"
                  type="button"
                  class="as-link quiet"
                  :aria-label="`${act.text}: ${ride.day}, ${ride.bikeName}, ${ride.km}`"
                  :data-test="act.test"
                  @click="act.do">
                  {{ act.text }}
                </button>
              </td>
            </tr>
          </tbody>
        </table>
        <PushButton v-if="few.hidden.value" data-test="show-all" @click="few.all.value = true">{{
          t('few.more', { count: few.hidden.value })
        }}</PushButton>
        <div v-if="pages > 1" class="row pages">
          <PushButton v-if="page > 1" @click="show({ page: page - 1 })">{{ t('rides.newer') }}</PushButton>
          <PushButton v-if="page < pages" @click="show({ page: page + 1 })">{{ t('rides.older') }}</PushButton>
        </div>
      </InTurn>
    </div>
    <InTurn><InboxPanel v-if="here.mayWrite && forms.bikes.length" :inbox="inbox" class="page" /></InTurn>
    <CatchUpDialog
      v-if="catchingUp"
      v-model="catchingUp"
      :forms="forms"
      :bike="estimate?.bike ?? bike ?? forms.bikes[0]?.id ?? 0"
      :estimate="estimate" />
    <SplitDialog v-if="splitting" v-model="splitOpen" :forms="forms" :ride="splitting" />
    <ConditionDialog v-if="setting" v-model="settingOpen" :forms="forms" :rides="chosen" />
    <MoveRidesDialog v-if="moving" v-model="movingOpen" :forms="forms" :rides="chosen" />
    <RideDialog v-if="here.mayWrite && open" v-model="open" :forms="forms" :bike="bike" :ride="editing" />
  </AppShell>
</template>

<style scoped>
.head {
  gap: 16px;
  margin-bottom: 12px;
}
.estimated td {
  color: var(--steel);
}
.estimated td:first-child {
  padding-left: 25px;
}
.mark {
  display: block;
  font-size: var(--type-1);
}
input[type='checkbox'] {
  accent-color: var(--ink);
  margin: 0 6px 0 0;
  width: 16px;
  height: 16px;
  vertical-align: -2px;
}
.drop {
  margin: 16px 0 20px;
}
.waits {
  font-weight: 680;
}
.acts {
  white-space: nowrap;
  text-align: right;
}
.pages {
  margin-top: 14px;
}
@media (max-width: 52.49em) {
  .estimated td:first-child {
    padding-left: 0;
  }
  .rides thead {
    display: none;
  }
  .rides tr {
    display: grid;
    grid-template-columns: 84px 1fr auto;
    padding: 8px 0;
    border-bottom: 1px solid var(--line);
  }
  .rides td {
    border: 0;
    padding: 1px 6px 1px 0;
  }
  .rides td.acts {
    grid-column: 1 / -1;
    text-align: left;
  }
  .acts button {
    padding: 2px 16px 2px 0;
  }
}
.wetter ul {
  list-style: none;
  padding: 0;
  margin: 6px 0;
}
.wetter li {
  justify-content: space-between;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
</style>
