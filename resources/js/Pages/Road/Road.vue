<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { computed, ref } from 'vue'
import RideDialog from '@/components/forms/RideDialog.vue'
import AppShell from '@/components/layout/AppShell.vue'
import DayStrip from '@/components/road/DayStrip.vue'
import TrackDrop from '@/components/road/TrackDrop.vue'
import { newActionId } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { useKeys } from '@/composables/useKeys'
import { t } from '@/composables/useText'
import type { FormDefaults, Ride, StripDay } from '@/types/props'

const props = defineProps<{
  strip: StripDay[]
  rides: Ride[]
  page: number
  pages: number
  bike: number | null
  forms: FormDefaults
  uploadMegabytes: number
}>()
const here = useHere()
const open = ref(false)
const editing = ref<Ride | null>(null)
const bikes = computed(() => [
  { value: 0, title: t('road.all') },
  ...props.forms.bikes.map((bike) => ({ value: bike.id, title: bike.name })),
])
const query = (page: number, bike = props.bike) => ({ ...(bike ? { bike } : {}), ...(page > 1 ? { page } : {}) })
const show = (page: number, bike = props.bike) => router.get('/road', query(page, bike), { preserveScroll: true })

function log(ride: Ride | null): void {
  editing.value = ride
  open.value = true
}
const remove = (ride: Ride) => router.delete(`/entries/rides/${ride.id}`, { data: { action_id: newActionId() }, preserveScroll: true })
useKeys({ r: () => here.value.mayWrite && props.forms.bikes.length && log(null) })
</script>

<template>
  <AppShell :title="t('road.title')" at="road">
    <div class="page">
      <div class="row head">
        <h1>{{ t('road.title') }}</h1>
        <v-btn v-if="here.mayWrite && forms.bikes.length" variant="flat" color="primary" data-test="log-ride" @click="log(null)">{{
          t('road.log')
        }}</v-btn>
        <span class="grow" />
        <v-select
          :model-value="bike ?? 0"
          :items="bikes"
          :label="t('road.filter')"
          class="filter"
          density="compact"
          @update:model-value="show(1, $event || null)" />
      </div>
      <DayStrip :days="strip" />
      <TrackDrop v-if="here.mayWrite && forms.bikes.length" :megabytes="uploadMegabytes" class="drop" />
      <h2 id="rides">{{ t('road.rides') }}</h2>
      <p v-if="!rides.length" class="muted">{{ t('road.none') }}</p>
      <table v-else class="plain rides" aria-labelledby="rides">
        <thead>
          <tr>
            <th>{{ t('road.day') }}</th>
            <th>{{ t('road.bike') }}</th>
            <th class="num">{{ t('road.distance') }}</th>
            <th class="num desk">{{ t('road.hours') }}</th>
            <th>{{ t('road.condition') }}</th>
            <th>{{ t('road.chain') }}</th>
            <th class="desk">{{ t('road.left') }}</th>
            <th v-if="here.mayWrite">
              <span class="sr">{{ t('road.actions') }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="ride in rides" :key="ride.id" data-test="ride">
            <td>
              {{ ride.day }}<span class="muted desk">{{ ride.time ? `, ${ride.time}` : '' }}</span>
            </td>
            <td>{{ ride.bikeName }}</td>
            <td class="num">
              <b>{{ ride.km }}</b>
            </td>
            <td class="num desk">{{ ride.hours ?? '—' }}</td>
            <td>{{ ride.conditionName }}</td>
            <td>
              <Link v-if="ride.chain" :href="`/chains/${ride.chain.id}`">{{ ride.chain.name }}</Link><span v-else class="ember">{{
                t('road.no_chain')
              }}</span>
            </td>
            <td class="muted desk">{{ ride.left ?? '' }}</td>
            <td v-if="here.mayWrite" class="acts">
              <button
                type="button"
                :aria-label="`${t('verbs.edit')}: ${ride.day}, ${ride.bikeName}, ${ride.km}`"
                data-test="edit-ride"
                @click="log(ride)">
                {{ t('verbs.edit') }}
              </button>
              <button
                type="button"
                :aria-label="`${t('verbs.delete')}: ${ride.day}, ${ride.bikeName}, ${ride.km}`"
                data-test="delete-ride"
                @click="remove(ride)">
                {{ t('verbs.delete') }}
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <div v-if="pages > 1" class="row pages">
        <v-btn v-if="page > 1" @click="show(page - 1)">{{ t('road.newer') }}</v-btn>
        <v-btn v-if="page < pages" @click="show(page + 1)">{{ t('road.older') }}</v-btn>
      </div>
    </div>
    <RideDialog v-if="here.mayWrite && open" v-model="open" :forms="forms" :bike="bike" :ride="editing" />
  </AppShell>
</template>

<style scoped>
.head {
  gap: 16px;
  margin-bottom: 12px;
}
.grow {
  flex: 1;
}
.filter {
  max-width: 200px;
  min-width: 150px;
}
.drop {
  margin: 16px 0 20px;
}
.acts {
  white-space: nowrap;
  text-align: right;
}
.acts button {
  background: none;
  border: 0;
  font: inherit;
  color: var(--steel);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
  padding: 2px 6px;
  min-height: 24px;
}
.pages {
  margin-top: 14px;
}
@media (max-width: 700px) {
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
    min-height: 44px;
    padding: 2px 16px 2px 0;
  }
}
</style>
