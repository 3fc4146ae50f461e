<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { computed, reactive, ref, watch } from 'vue'
import ChangesPreview from '@/components/forms/ChangesPreview.vue'
import MomentDialog from '@/components/forms/MomentDialog.vue'
import CommuteDialog from '@/components/forms/CommuteDialog.vue'
import NumberField from '@/components/forms/NumberField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import WeekFields from '@/components/forms/WeekFields.vue'
import TickBox from '@/components/forms/TickBox.vue'
import PartsPanel from '@/components/wear/PartsPanel.vue'
import OpeningDialog from '@/components/forms/OpeningDialog.vue'
import PageTabs from '@/components/layout/PageTabs.vue'
import AppShell from '@/components/layout/AppShell.vue'
import TextField from '@/components/forms/TextField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { usePreview } from '@/composables/usePreview'
import { usePart } from '@/composables/usePart'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { BikePage, ChangedChain, CommuteValues, OpeningView } from '@/types/server'

const props = defineProps<BikePage>()
const here = useHere()
const { form, submit } = useActionForm({
  ...props.values,
  speeds: String(props.values.speeds),
  interval_hours: String(props.values.interval_hours ?? ''),
  also_past: false,
})
const { preview } = usePreview<{ chains: ChangedChain[] }>(
  'put',
  () => `/bikes/${props.bike}`,
  () => (props.bike !== null && form.isDirty ? { ...form.data(), preview: true } : null),
)
// A new bike is asked only for what it cannot do without.
const rooms = ['bike', 'wax', 'week', 'drivetrain', 'parts'] as const
const { part, choose } = usePart(rooms)
const tabs = computed(() => rooms.map((one) => ({ href: `#${one}`, title: t(`bike.part.${one}`), test: one })))
const shows = (one: (typeof rooms)[number]) => props.bike === null || part.value === one
const asked = computed(() => props.bike === null || ['bike', 'wax', 'week'].includes(part.value))
watch(
  () => Object.keys(form.errors)[0],
  (first) =>
    first && choose(['name', 'rider', 'kind', 'speeds', 'brakes'].includes(first) ? 'bike' : first.startsWith('week') ? 'week' : 'wax'),
)
const halves = ['week_summer', 'week_winter'] as const
const reason = computed(() => props.schools.find((school) => school.value === form.limit_school)?.reason)
const commuting = ref<{ commute: { id: number; values: CommuteValues } | null } | null>(null)
const commuteOpen = computed({ get: () => commuting.value !== null, set: (on: boolean) => !on && (commuting.value = null) })
const brushing = ref(false)
const how = reactive({ deep: props.deepFirst, painted: false })
const care = () => write('post', `/bikes/${props.bike}/brushings/led`, how)
const opened = ref<{ name: string; opening: OpeningView } | null>(null)
const partOpen = computed({ get: () => opened.value !== null, set: (on: boolean) => !on && (opened.value = null) })
const save = () => submit(props.bike === null ? 'post' : 'put', props.bike === null ? '/bikes' : `/bikes/${props.bike}`)
</script>

<template>
  <AppShell :title="bike === null ? t('bike.new') : values.name" at="shed">
    <div class="page">
      <h1 v-if="bike === null">{{ t('bike.new') }}</h1>
      <PageTabs v-else :title="values.name" :label="t('bike.parts')" :tabs="tabs" :at="part" @choose="choose"
        ><Link :href="`/history?bike=${bike}`">{{ t('nav.history') }}</Link></PageTabs
      >
      <form v-show="asked" class="narrow fields" novalidate @submit.prevent="save">
        <div v-show="shows('bike')" class="fields">
          <TextField
            v-model="form.name"
            :label="t('bike.name')"
            :error-messages="form.errors.name"
            name="name"
            :autofocus="bike === null" />
          <TextField
            v-model="form.rider"
            :label="t('riders.rider')"
            :hint="t('riders.hint')"
            persistent-hint
            :error-messages="form.errors.rider"
            list="riders"
            name="rider" />
          <datalist id="riders"><option v-for="name in riders" :key="name" :value="name" /></datalist>
          <div class="two">
            <v-select v-model="form.kind" :items="kinds" :label="t('bike.kind')" :error-messages="form.errors.kind" />
            <v-select
              v-model="form.brakes"
              :items="brakes"
              :label="t('bike.brakes')"
              :error-messages="form.errors.brakes"
              data-test="brakes" />
            <NumberField
              v-model="form.speeds"
              whole
              :label="t('bike.speeds')"
              :hint="t('bike.speeds_hint')"
              persistent-hint
              :error-messages="form.errors.speeds"
              name="speeds" />
          </div>
        </div>
        <div v-show="shows('wax')" class="fields">
          <div class="two">
            <NumberField
              v-model="form.interval"
              :label="t('bike.interval')"
              :unit="here.distanceUnit"
              :hint="t('bike.interval_hint')"
              persistent-hint
              :error-messages="form.errors.interval"
              name="interval" />
            <NumberField
              v-model="form.interval_hours"
              :label="t('bike.hours')"
              unit="h"
              :hint="t('bike.hours_hint')"
              persistent-hint
              :error-messages="form.errors.interval_hours"
              name="interval_hours" />
          </div>
          <TickBox
            v-model="form.drip_only"
            :label="t('bike.drip_only')"
            :hint="t('bike.drip_only_hint')"
            persistent-hint
            data-test="drip-only" />
          <TickBox v-model="form.by_ear" :label="t('bike.by_ear')" :hint="t('bike.by_ear_hint')" persistent-hint data-test="by-ear" />
          <v-select
            v-model="form.limit_school"
            :items="schools"
            :label="t('bike.school')"
            :hint="reason"
            persistent-hint
            :error-messages="form.errors.limit_school" />
          <div v-show="bike !== null" class="fields">
            <div class="two">
              <NumberField
                v-model="form.chains_wanted"
                whole
                :label="t('bike.chains_wanted')"
                :hint="t('bike.chains_wanted_hint')"
                persistent-hint
                :error-messages="form.errors.chains_wanted"
                name="chains_wanted" />
              <NumberField
                v-model="form.target_life"
                :label="t('bike.target')"
                :unit="here.distanceUnit"
                :hint="t('bike.target_hint')"
                persistent-hint
                :error-messages="form.errors.target_life"
                name="target_life" />
            </div>
          </div>
        </div>
        <div v-show="part === 'week'" class="fields">
          <WeekFields
            v-for="half in halves"
            :key="half"
            v-model="form[half]"
            :legend="t(`bike.${half}`)"
            :hint="t('bike.week_empty')"
            :unit="here.distanceUnit"
            :weekdays="weekdays"
            :ridden="ridden"
            :error-messages="form.errors[half]"
            :name="half" />
        </div>
        <TickBox v-if="bike !== null" v-model="form.also_past" :label="t('bike.past')" :hint="t('bike.past_hint')" persistent-hint />
        <ChangesPreview v-if="preview?.chains.length" :chains="preview.chains" />
        <p v-if="form.errors.action_id" class="ember" role="alert">{{ form.errors.action_id }}</p>
        <div class="row at-hand">
          <PushButton type="submit" main :loading="form.processing" data-test="submit">{{
            bike === null ? t('bike.new') : t('verbs.save')
          }}</PushButton>
          <Link href="/">{{ t('verbs.cancel') }}</Link>
        </div>
      </form>
      <div v-if="bike !== null" class="narrow more">
        <section v-show="part === 'week'" aria-labelledby="commute">
          <h2 id="commute">{{ t('commute.title') }}</h2>
          <p v-if="!commutes.length" class="muted">{{ t('commute.none') }}</p>
          <ul>
            <li v-for="one in commutes" :key="one.id" class="row">
              <span>{{ one.text }}</span>
              <PushButton data-test="edit-commute" @click="commuting = { commute: one }">{{ t('verbs.edit') }}</PushButton>
            </li>
          </ul>
          <PushButton data-test="new-commute" @click="commuting = { commute: null }">{{ t('commute.add') }}</PushButton>
        </section>
        <section v-show="part === 'drivetrain'" aria-labelledby="drivetrain">
          <h2 id="drivetrain">{{ t('bike.drivetrain') }}</h2>
          <p class="muted" data-test="brushed">{{ brushed }}</p>
          <TickBox v-model="how.deep" :label="t('bike.deep')" data-test="deep" />
          <TickBox v-model="how.painted" :label="t('bike.painted')" data-test="painted" />
          <div class="row care">
            <PushButton data-test="care" @click="care">{{ t('bike.led') }}</PushButton>
            <PushButton data-test="brush" @click="brushing = true">{{ t('bike.brush') }}</PushButton>
            <Link v-if="converts" :href="`/bikes/${bike}/convert`" data-test="convert">{{ t('bike.convert') }}</Link>
          </div>
        </section>
        <PartsPanel
          v-show="part === 'parts'"
          :bike="bike"
          :parts="parts"
          :drawer="drawer"
          :kinds="partKinds"
          :forms="forms"
          @correct="opened = $event" />
        <CommuteDialog
          v-if="commuting"
          v-model="commuteOpen"
          :forms="forms"
          :bike="bike"
          :weekdays="weekdays"
          :commute="commuting.commute" />
        <MomentDialog
          v-if="brushing"
          v-model="brushing"
          what="brush"
          :subject="values.name"
          :url="`/bikes/${bike}/brushings`"
          :date="forms.date"
          :time="forms.time" />
        <OpeningDialog v-if="opened" v-model="partOpen" :opening="opened.opening" :subject="opened.name" kind="part" />
      </div>
    </div>
  </AppShell>
</template>

<style scoped>
.narrow {
  max-width: 700px;
  width: 100%;
}
.row {
  gap: 16px;
}
.more {
  display: grid;
  gap: 22px;
}
.more ul {
  list-style: none;
  padding: 0;
  margin: 6px 0 10px;
}
.more li {
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
  justify-content: space-between;
}
</style>
