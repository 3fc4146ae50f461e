<script setup lang="ts">
import { router } from '@inertiajs/vue3'
import { computed, reactive, ref, watch } from 'vue'
import DateField from '@/components/forms/DateField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import TimeField from '@/components/forms/TimeField.vue'
import MeasureDialog from '@/components/forms/MeasureDialog.vue'
import RetireDialog from '@/components/forms/RetireDialog.vue'
import NumberField from '@/components/forms/NumberField.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import TickBox from '@/components/forms/TickBox.vue'
import TimeLanes from '@/components/guided/TimeLanes.vue'
import EmptyState from '@/components/layout/EmptyState.vue'
import AppShell from '@/components/layout/AppShell.vue'
import LineChart from '@/components/charts/LineChart.vue'
import PotDayCard from '@/components/pot/PotDayCard.vue'
import PotDayChains from '@/components/pot/PotDayChains.vue'
import PotWatts from '@/components/pot/PotWatts.vue'
import PotDayOrder from '@/components/pot/PotDayOrder.vue'
import RiderShares from '@/components/pot/RiderShares.vue'
import { newActionId } from '@/composables/useActionForm'
import { usePreview } from '@/composables/usePreview'
import PhoneFold from '@/components/layout/PhoneFold.vue'
import { samePage } from '@/composables/samePage'
import { useOneOpen } from '@/composables/useOneOpen'
import { t } from '@/composables/useText'
import type { PotDayChain, PotDayPage, PotDayPlanView } from '@/types/server'

const props = defineProps<PotDayPage>()
const firstPot = props.pots.find((pot) => !pot.empty) ?? props.pots[0]
const form = reactive({
  pot_id: firstPot?.id ?? null,
  chains: props.chosen.filter((id) => props.chains.some((chain) => chain.id === id && !chain.refusal)),
  program: 'low',
  target: firstPot?.target ?? '',
  room: props.room,
  by: '',
  by_date: '',
  rinse: Object.fromEntries(props.chains.map((chain) => [chain.id, chain.rinse])) as Record<number, string>,
  first: Object.fromEntries(props.chains.map((chain) => [chain.id, chain.first])) as Record<number, boolean>,
  powder: [] as number[],
  first_soak: 'hour',
  rewax_soak: 'five',
  drain: 'slow',
  dry_by: 'warm_air',
  link_in: false,
  weigh: false,
  melt_in: false,
  order: [] as number[],
})
const pot = computed(() => props.pots.find((other) => other.id === form.pot_id))
watch(
  () => form.pot_id,
  () => (form.target = pot.value?.target ?? ''),
)
const actionId = newActionId()
const wanted = (later = false) => {
  const own = <T,>(values: Record<number, T>) => Object.fromEntries(form.chains.map((id) => [id, values[id]]))
  return {
    ...form,
    rinse: own(form.rinse),
    first: own(form.first),
    powder: form.powder.filter((id) => form.chains.includes(id)),
    order: form.order.filter((id) => form.chains.includes(id)),
    by: form.by || null,
    by_date: form.by && form.by_date ? form.by_date : null,
    later,
    action_id: actionId,
  }
}
const { preview, problems, again } = usePreview<PotDayPlanView>(
  'post',
  () => '/pot-day/plan',
  () => (form.chains.length && form.pot_id ? wanted() : null),
)
const found = ref<Record<string, string>>({})
const errors = computed<Record<string, string | undefined>>(() => ({ ...problems.value, ...found.value }))
const beside = computed(() =>
  Object.entries(errors.value).filter(
    ([field]) => !['target', 'room', 'by', 'by_date', 'chains', 'pot', 'pot_id', 'program'].includes(field),
  ),
)
const starting = ref(false)
const open = ref(false)
const { open: dialog, shown } = useOneOpen<'measure' | 'retire'>()
const [measuring, retiring] = [shown('measure'), shown('retire')]
const refused = ref<PotDayChain | null>(null)
function about(name: 'measure' | 'retire', chain: PotDayChain): void {
  refused.value = chain
  dialog.value = name
}
function start(later: boolean): void {
  found.value = {}
  router.post('/pot-day', wanted(later), {
    preserveState: true,
    preserveScroll: samePage,
    onStart: () => (starting.value = true),
    onFinish: () => (starting.value = false),
    onError: (now) => (found.value = now),
  })
}
const links = computed(() => [
  { value: 'out', title: t('pot_day.link_out') },
  { value: 'in', title: t('pot_day.link_in') },
])
const link = computed({ get: () => (form.link_in ? 'in' : 'out'), set: (value: string) => (form.link_in = value === 'in') })
</script>

<template>
  <AppShell :title="t('pot_day.title')" at="pot">
    <div class="page">
      <h1>{{ t('pot_day.title') }}</h1>
      <EmptyState v-if="!pots.length" :text="t('pot_day.no_pot')" href="/pot" :verb="t('pot_day.to_pot')" />
      <form v-else class="cols" novalidate @submit.prevent="start(false)">
        <div class="fields">
          <PotDayChains
            v-model:taken="form.chains"
            v-model:first="form.first"
            v-model:rinse="form.rinse"
            v-model:powder="form.powder"
            :chains="chains"
            :chosen="chosen"
            :rinses="choices.rinse"
            :problem="errors.chains"
            @settle="about" />
          <div class="two">
            <v-select
              v-model="form.pot_id"
              :items="pots.map((other) => ({ value: other.id, title: other.name }))"
              :label="t('pot_day.pot')"
              :hint="pot?.about"
              persistent-hint
              :error-messages="errors.pot ?? errors.pot_id"
              data-test="pot-choice" />
            <v-select
              v-model="form.program"
              :items="choices.program"
              :label="t('pot_day.power')"
              :error-messages="errors.program"
              data-test="program" />
          </div>
          <div class="four">
            <TimeField v-model="form.by" :label="t('pot_day.by')" :hint="t('pot_day.by_hint')" :error-messages="errors.by" name="by" />
            <DateField
              v-model="form.by_date"
              :label="t('pot_day.day')"
              :disabled="!form.by"
              :error-messages="errors.by_date"
              name="by_date" />
            <NumberField
              v-model="form.target"
              :label="t('pot_day.target')"
              :unit="`°${temperature}`"
              :hint="pot ? t('pot_day.limit', { limit: pot.limit }) : ''"
              persistent-hint
              data-test="target"
              :error-messages="errors.target"
              name="target" />
            <NumberField
              v-model="form.room"
              :label="t('pot_day.room')"
              :unit="`°${temperature}`"
              :error-messages="errors.room"
              name="room" />
          </div>
          <button type="button" class="as-link" :aria-expanded="open" data-test="schools" @click="open = !open">
            {{ t('pot_day.schools') }}
          </button>
          <div v-if="open" class="fields schools">
            <div class="two">
              <v-select v-model="form.first_soak" :items="choices.soak" :label="t('pot_day.first_soak')" />
              <v-select v-model="form.rewax_soak" :items="choices.soak" :label="t('pot_day.rewax_soak')" />
            </div>
            <div class="two">
              <v-select v-model="form.drain" :items="choices.drain" :label="t('pot_day.drain')" />
              <v-select v-model="form.dry_by" :items="choices.dryBy" :label="t('pot_day.dry_by')" />
            </div>
            <TapChoice v-model="link" :legend="t('pot_day.link')" :options="links" test="link" />
            <TickBox v-model="form.melt_in" :label="t('pot_day.melt_in')" data-test="melt-in" />
            <TickBox v-model="form.weigh" :label="t('pot_day.weigh')" data-test="weigh-all" />
          </div>
        </div>
        <div class="plan">
          <p v-for="[field, problem] in beside" :key="field" class="ember" role="alert">{{ problem }}</p>
          <p v-if="!preview && !Object.keys(errors).length" class="muted">{{ t('pot_day.wait') }}</p>
          <template v-if="preview">
            <div data-test="plan-lines" role="status">
              <p v-for="(line, i) in preview.lines" :key="line" :class="{ lead: i === 0 }">{{ line }}</p>
            </div>
            <section v-if="preview.warnings.length || preview.unmeasured" aria-labelledby="wrong">
              <h2 id="wrong">{{ t('pot_day.wrong') }}</h2>
              <p v-for="warning in preview.warnings" :key="warning.text" class="ember strong" data-test="warning">{{ warning.text }}</p>
              <p v-if="preview.unmeasured">{{ preview.unmeasured }}</p>
              <PotWatts v-if="!preview.powerSaid && form.pot_id" :pot="form.pot_id" @kept="again" />
            </section>
            <div class="row buttons at-hand">
              <PushButton type="submit" main :loading="starting" :disabled="preview.forbidden" data-test="begin">{{
                t('pot_day.begin')
              }}</PushButton>
              <PushButton v-if="preview.later" :loading="starting" :disabled="preview.forbidden" data-test="later" @click="start(true)">{{
                t('pot_day.later')
              }}</PushButton>
            </div>
            <p v-if="preview.care" class="muted" data-test="care-meanwhile">{{ preview.care }}</p>
            <TimeLanes :axis="preview.axis" class="lanes" />
          </template>
        </div>
        <div v-if="preview" class="below">
          <div class="pair">
            <PhoneFold :title="t('pot_day.meets')" test="fold-order"
              ><section aria-labelledby="meets">
                <h2 id="meets">{{ t('pot_day.meets') }}</h2>
                <PotDayOrder v-model="form.order" :dips="preview.dips" /></section
            ></PhoneFold>
            <PhoneFold :title="t('pot_day.curve')" test="fold-curve"
              ><section aria-labelledby="curve">
                <h2 id="curve">{{ t('pot_day.curve') }}</h2>
                <LineChart :chart="preview.bath" /></section
            ></PhoneFold>
          </div>
          <PhoneFold v-if="preview.split.length" :title="t('riders.split')" test="fold-split"
            ><RiderShares :shares="preview.split"
          /></PhoneFold>
          <PotDayCard :steps="preview.steps" :layout="preview.layout" />
          <details>
            <summary>{{ t('pot_day.why') }}</summary>
            <p class="small">{{ t('pot_day.worked_out') }}</p>
          </details>
        </div>
      </form>
    </div>
    <template v-if="refused">
      <MeasureDialog v-if="measuring" v-model="measuring" :forms="forms" :chain="refused" @retire="dialog = 'retire'" />
      <RetireDialog v-if="retiring" v-model="retiring" :forms="forms" :chain="refused" />
    </template>
  </AppShell>
</template>

<style scoped>
h1 {
  margin-bottom: 14px;
}
.cols {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 26px 40px;
  align-items: start;
}
.lanes {
  border-block: 1.5px solid var(--ink);
  margin-top: 12px;
}
.pair {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 20px 40px;
}
.four {
  display: grid;
  grid-template-columns: 1fr 1.25fr 1fr 1fr;
  gap: 10px;
  align-items: start;
}
.schools {
  border-left: 3px solid var(--ink);
  padding-left: 14px;
}
.plan p {
  margin: 0 0 8px;
}
.lead {
  font-size: var(--type-5);
  font-weight: 620;
  line-height: 1.3;
}
.strong {
  font-weight: 620;
}
.buttons {
  margin: 14px 0;
  gap: 10px;
}
.below {
  grid-column: 1 / -1;
  display: grid;
  gap: 14px;
}
details {
  margin-top: 8px;
}
@media print {
  .cols > .fields,
  .plan .buttons,
  .plan section,
  .below section,
  .below details:not([data-test='card']) {
    display: none;
  }
  .cols {
    display: block;
  }
}
@media (max-width: 52.49em) {
  .cols {
    grid-template-columns: minmax(0, 1fr);
  }
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
  .four {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
