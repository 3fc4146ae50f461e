<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { computed, reactive, watch } from 'vue'
import NumberField from '@/components/forms/NumberField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import TickBox from '@/components/forms/TickBox.vue'
import ZoneField from '@/components/forms/ZoneField.vue'
import AppShell from '@/components/layout/AppShell.vue'
import PageTabs from '@/components/layout/PageTabs.vue'
import KeepPanel from '@/components/settings/KeepPanel.vue'
import PeoplePanel from '@/components/settings/PeoplePanel.vue'
import ThisDevice from '@/components/settings/ThisDevice.vue'
import WeatherPanel from '@/components/settings/WeatherPanel.vue'
import WorkshopList from '@/components/settings/WorkshopList.vue'
import TextField from '@/components/forms/TextField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { offline } from '@/offline/reach'
import { useOpened } from '@/composables/useOpened'
import { usePart } from '@/composables/usePart'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'
import type { SettingsPage } from '@/types/server'

interface School {
  value: string
  title: string
  reason: string
}
const props = defineProps<SettingsPage>()
const here = useHere()
const { form, submit } = useActionForm({ ...props.values, factors: { ...props.values.factors }, also_past: false })
const parts = ['workshop', 'wax', 'drip', 'roads', 'people', 'device', 'keep'] as const
const { part, choose } = usePart(parts)
type Shown = 'bikes' | 'rain' | 'people' | 'keep'
const shows: Partial<Record<(typeof parts)[number], Shown>> = { wax: 'bikes', roads: 'rain', people: 'people', keep: 'keep' }
const shown = computed(() => shows[part.value] ?? null)
const opened = useOpened(props, Object.values(shows), () => shown.value)
// A part is drawn when it is first looked at, and stays with what was typed in it.
const drawn = reactive(new Set<string>())
watch(part, (one) => drawn.add(one), { immediate: true })
const asked = computed(() => ['workshop', 'wax', 'drip', 'roads'].includes(part.value))
const tabs = computed(() =>
  parts
    .filter((one) => one !== 'keep' || here.value.mayWrite)
    .map((one) => ({ href: `#${one}`, title: t(`settings.part.${one}`), test: one })),
)
// What was refused is shown, whichever part it is in.
const home: Record<string, (typeof parts)[number]> = { name: 'workshop', time_zone: 'workshop', interval: 'wax' }
watch(
  () => Object.keys(form.errors)[0],
  (first) => first && choose(home[first] ?? (first.startsWith('factors') ? 'roads' : 'drip')),
)
const save = () => submit('put', '/settings')
const errorOf = (factor: string) => (form.errors as Record<string, string>)[`factors.${factor}`]
const reasonOf = (schools: School[], value: string) => schools.find((school) => school.value === value)?.reason ?? ''
const interval = computed(() => reasonOf(props.choices.intervals, form.interval) || t('settings.interval_own'))
</script>

<template>
  <AppShell :title="t('settings.title')" at="settings">
    <div class="page">
      <PageTabs :title="t('settings.title')" :label="t('settings.parts')" :tabs="tabs" :at="part" @choose="choose" />
      <form v-show="asked" class="fields narrow" novalidate @submit.prevent="save">
        <fieldset :disabled="!here.mayWrite" class="fields">
          <legend class="sr">{{ t(`settings.part.${part}`) }}</legend>
          <div v-if="drawn.has('workshop')" v-show="part === 'workshop'" class="fields">
            <TextField v-model="form.name" :label="t('settings.name')" :error-messages="form.errors.name" name="name" />
            <ZoneField v-model="form.time_zone" :zones="choices.zones" :error-messages="form.errors.time_zone" />
            <div class="taps">
              <TapChoice v-model="form.clock" :legend="t('settings.clock')" :options="choices.clocks" test="clock" />
              <TapChoice v-model="form.first_day" :legend="t('settings.first_day')" :options="choices.firstDays" test="first-day" />
            </div>
            <div class="taps">
              <TapChoice v-model="form.distance_unit" :legend="t('settings.distance')" :options="choices.distance" test="distance-unit" />
              <TapChoice
                v-model="form.temperature_unit"
                :legend="t('settings.temperature')"
                :options="choices.temperature"
                test="temperature-unit" />
              <TapChoice v-model="form.mass_unit" :legend="t('settings.mass')" :options="choices.mass" test="mass-unit" />
            </div>
            <TapChoice v-model="form.currency" :legend="t('settings.currency')" :options="choices.currencies" test="currency" />
            <v-select
              v-if="choices.languages.length > 1"
              v-model="form.language"
              :items="choices.languages"
              :label="t('settings.language')"
              class="half" />
          </div>
          <div v-if="drawn.has('wax')" v-show="part === 'wax'" class="fields">
            <div>
              <TapChoice v-model="form.interval" :legend="t('settings.interval')" :options="choices.intervals" test="interval" />
              <div class="own">
                <NumberField
                  v-model="form.interval"
                  :label="t('bike.interval')"
                  :unit="here.distanceUnit"
                  :error-messages="form.errors.interval"
                  name="interval"
                  class="half" />
                <p class="muted small">{{ interval }}</p>
              </div>
            </div>
            <div>
              <TapChoice v-model="form.limit_school" :legend="t('settings.limit')" :options="choices.schools" test="limit-school" />
              <p class="muted small reason">{{ reasonOf(choices.schools, form.limit_school) }}</p>
            </div>
            <TapChoice v-model="form.ready_school" :legend="t('settings.ready')" :options="choices.ready" test="ready-school" />
            <ul v-if="opened.bikes?.length" class="bikes">
              <li v-for="bike in opened.bikes" :key="bike.id">
                <span
                  ><b>{{ bike.name }}</b
                  >, {{ bike.interval }}, {{ bike.limit }}</span
                >
                <Link v-if="here.mayWrite" :href="`/bikes/${bike.id}`">{{ t('settings.change') }}</Link>
              </li>
            </ul>
          </div>
          <div v-if="drawn.has('drip')" v-show="part === 'drip'" class="fields">
            <TapChoice v-model="form.drip_clean" :legend="t('drip.deep_clean')" :options="choices.dripClean" test="drip-clean" />
            <TapChoice v-model="form.excess_school" :legend="t('drip.excess')" :options="choices.excess" test="excess-school" />
            <div class="four">
              <NumberField
                v-model="form.topups_most"
                whole
                :label="t('settings.topups')"
                :hint="t('settings.topups_hint')"
                persistent-hint
                :error-messages="form.errors.topups_most"
                name="topups_most" />
              <NumberField
                v-model="form.drip_dry_hours"
                :label="t('settings.dry_hours')"
                unit="h"
                :error-messages="form.errors.drip_dry_hours"
                name="drip_dry_hours" />
              <NumberField
                v-model="form.wipe_rides"
                whole
                :label="t('settings.wipe')"
                :hint="t('settings.wipe_hint')"
                persistent-hint
                :error-messages="form.errors.wipe_rides"
                name="wipe_rides" />
            </div>
          </div>
          <div v-if="drawn.has('roads')" v-show="part === 'roads'" class="fields">
            <p class="muted small">{{ t('settings.factors_hint') }}</p>
            <div class="factors">
              <NumberField
                v-for="factor in factors"
                :key="factor.value"
                v-model="form.factors[factor.value]"
                prefix="×"
                :label="factor.name"
                :hint="factor.house ? t('settings.house') : t('settings.own')"
                persistent-hint
                :error-messages="errorOf(factor.value)"
                :name="`factor-${factor.value}`" />
            </div>
            <TickBox v-model="form.also_past" :label="t('settings.past')" />
            <div>
              <TapChoice v-model="form.weather" :legend="t('weather.title')" :options="choices.weather" test="weather" />
              <p class="muted small reason">{{ t('weather.text') }}</p>
            </div>
          </div>
          <div v-if="here.mayWrite" class="row at-hand">
            <PushButton type="submit" main :loading="form.processing" data-test="submit">{{ t('settings.save') }}</PushButton>
          </div>
        </fieldset>
      </form>
      <WeatherPanel
        v-if="part === 'roads' && form.weather === 'table' && here.mayWrite && opened.rain !== undefined"
        class="narrow"
        :rain="opened.rain" />
      <template v-if="part === 'people' && opened.people">
        <WorkshopList class="narrow" :workshops="opened.people.workshops" :opens-workshops="opened.people.opensWorkshops" />
        <PeoplePanel
          class="narrow"
          :people="opened.people.people"
          :invitations="opened.people.invitations"
          :devices="opened.people.devices"
          :passkeys="opened.people.passkeys" />
      </template>
      <KeepPanel v-if="part === 'keep' && here.mayWrite && opened.keep" class="narrow" v-bind="opened.keep" />
      <p v-if="offline && shown && opened[shown] === undefined" class="later muted" role="status">{{ t('settings.later') }}</p>
      <ThisDevice v-if="part === 'device'" class="narrow" :lan="lan" />
    </div>
  </AppShell>
</template>

<style scoped>
.narrow {
  max-width: 760px;
}
.reason {
  margin: 8px 0 0;
}
.later {
  margin-top: 12px;
}
.taps {
  display: flex;
  flex-wrap: wrap;
  gap: 14px 36px;
}
.four {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  align-items: start;
  gap: 10px;
}
.factors {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 10px;
}
p {
  margin: 0;
}
form,
form fieldset {
  align-content: start;
}
.half {
  max-width: 240px;
}
.own {
  display: grid;
  grid-template-columns: 200px 1fr;
  gap: 14px;
  align-items: center;
  margin-top: 10px;
}
.bikes {
  list-style: none;
  padding: 0;
  margin: 0;
}
.bikes li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
@media (max-width: 52.49em) {
  .four,
  .factors {
    grid-template-columns: 1fr 1fr;
  }
  .own {
    grid-template-columns: 1fr;
    gap: 6px;
  }
}
</style>
