<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { computed, onMounted, ref } from 'vue'
import ChainRun from '@/components/chain/ChainRun.vue'
import LifeStory from '@/components/chain/LifeStory.vue'
import WearForecast from '@/components/chain/WearForecast.vue'
import ChainFacts from '@/components/chain/ChainFacts.vue'
import HookTag from '@/components/chain/HookTag.vue'
import WearRule from '@/components/chain/WearRule.vue'
import WhyPanel from '@/components/chain/WhyPanel.vue'
import ActionDialog from '@/components/forms/ActionDialog.vue'
import DipDialog from '@/components/forms/DipDialog.vue'
import MeasureDialog from '@/components/forms/MeasureDialog.vue'
import NumberField from '@/components/forms/NumberField.vue'
import OpeningDialog from '@/components/forms/OpeningDialog.vue'
import MomentDialog from '@/components/forms/MomentDialog.vue'
import RetireDialog from '@/components/forms/RetireDialog.vue'
import TickBox from '@/components/forms/TickBox.vue'
import TopUpDialog from '@/components/forms/TopUpDialog.vue'
import AppShell from '@/components/layout/AppShell.vue'
import { useActionForm } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { useKeys } from '@/composables/useKeys'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { ChainPage, ForecastView, OpeningView, TimelineEntryView } from '@/types/server'

const props = defineProps<ChainPage & { forecast?: ForecastView | null }>()
const correcting = ref<{ opening: OpeningView | null; kind: 'chain' | 'link' } | null>(null)
const correctingOpen = computed({ get: () => correcting.value !== null, set: (on: boolean) => !on && (correcting.value = null) })
const here = useHere()
const figure = ref<string | null>(null)
onMounted(() => {
  const asked = new URLSearchParams(window.location.search)
  figure.value = asked.get('why')
  if (asked.get('do') === 'strip' && here.value.mayWrite) form.value = 'strip'
})

type Form = 'dip' | 'measure' | 'topup' | 'strip' | 'retire' | 'move' | 'edit'
const form = ref<Form | null>(null)
const shown = (name: Form) => computed({ get: () => form.value === name, set: (open: boolean) => (form.value = open ? name : null) })
const [dipOpen, measureOpen, topupOpen, stripOpen, retireOpen, moveOpen, editOpen] = [
  shown('dip'),
  shown('measure'),
  shown('topup'),
  shown('strip'),
  shown('retire'),
  shown('move'),
  shown('edit'),
]
const moving = ref<TimelineEntryView | null>(null)

function move(entry: TimelineEntryView): void {
  moving.value = entry
  form.value = 'move'
}
const remove = (entry: TimelineEntryView) => write('delete', `/entries/${entry.type}/${entry.id}`)
const older = () => router.reload({ data: { all: 1 } })

const { form: details, submit: submitDetails } = useActionForm({ ...props.edit })
function editDetails(): void {
  Object.assign(details, props.edit)
  details.clearErrors()
  form.value = 'edit'
}
const may = (act: () => void) => () => here.value.mayWrite && !props.retired && act()
useKeys({
  m: may(() => (form.value = 'measure')),
  t: may(() => (form.value = 'topup')),
  d: may(() => (form.value = 'dip')),
})
</script>

<template>
  <AppShell :title="chain.name" at="shed">
    <div class="page">
      <div class="row head">
        <h1>{{ chain.name }}</h1>
        <HookTag :label="chain.label" :ready="chain.ready" />
        <span class="muted">{{ retired ? t('chain.retired') : `${on ? t('chain.on') : t('chain.hangs')} ${bike?.name ?? '—'}` }}</span>
      </div>
      <div class="top">
        <section class="state" :aria-label="chain.name">
          <p v-if="chain.waxed" class="left">
            <template v-if="!chain.unsure"
              ><span class="big" data-test="left">{{ chain.left }}</span> <span class="muted">{{ t('chain.coat') }}</span></template
            >
            <button v-if="why.some((w) => w.figure === 'left')" type="button" class="why" data-test="why-left" @click="figure = 'left'">
              {{ t('chain.why') }}
            </button>
          </p>
          <p class="word" :class="{ ember: chain.late }" data-test="state" :data-status="chain.status">
            <template v-if="chain.status !== 'ridden'">{{ chain.word }}</template>
            <span class="muted">{{ chain.status !== 'ridden' && chain.detail ? ', ' : '' }}{{ chain.detail }}</span>
          </p>
          <p v-if="outlook" class="until">
            {{ outlook[0] }} <b>{{ outlook[1] }}</b>{{ outlook[2] }}
            <button v-if="why.some((w) => w.figure === 'good_until')" type="button" class="why" @click="figure = 'good_until'">
              {{ t('chain.why') }}
            </button>
          </p>
          <p v-if="why.some((w) => w.figure === 'bare')" class="until">
            <button type="button" class="why" @click="figure = 'bare'">{{ t('chain.why') }}</button>
          </p>
          <ChainRun :coat="chain.coat" :left="chain.left" :unsure="chain.unsure" />
          <div class="wear">
            <WearRule :wear="chain.wear" :width="200" /><span class="muted small">{{ chain.wear.of }}</span>
          </div>
        </section>
        <dl>
          <div v-for="fact in facts" :key="fact.name">
            <dt>{{ fact.name }}</dt>
            <dd>
              {{ fact.value }}
              <button
                v-if="fact.why"
                type="button"
                class="why"
                :aria-label="`${fact.name}: ${t('chain.why')}`"
                :data-test="`why-${fact.why}`"
                @click="figure = fact.why">
                {{ t('chain.why') }}
              </button>
            </dd>
          </div>
          <div v-for="fact in about" :key="fact.name">
            <dt>{{ fact.name }}</dt>
            <dd>{{ fact.value }}</dd>
          </div>
          <div v-if="link" data-test="link">
            <dt>{{ t('parts.quick_link') }}</dt>
            <dd :class="{ ember: link.usedUp }">
              {{ link.figure }}
              <button
                v-if="here.mayWrite && link.opening"
                type="button"
                class="why"
                data-test="correct-link"
                @click="correcting = { opening: link.opening, kind: 'link' }">
                {{ t('opening.correct') }}
              </button>
            </dd>
          </div>
        </dl>
      </div>
      <div v-if="here.mayWrite && !retired" class="row acts">
        <v-btn
          v-if="!chain.worn"
          :variant="chain.wantsDip ? 'flat' : 'outlined'"
          :color="chain.wantsDip ? 'primary' : undefined"
          data-test="dip"
          @click="form = 'dip'"
          >{{ t('verbs.dip') }}</v-btn
        >
        <v-btn data-test="measure" @click="form = 'measure'">{{ t('verbs.measure') }}</v-btn>
        <v-btn v-if="chain.waxed" data-test="topup" @click="form = 'topup'">{{ t('verbs.topup') }}</v-btn>
        <v-btn v-if="job" variant="flat" color="primary" data-test="go-on" @click="router.visit(`/jobs/${job}`)">{{ t('verbs.go') }}</v-btn>
        <v-btn
          v-else
          :variant="chain.status === 'unwaxed' ? 'flat' : 'outlined'"
          :color="chain.status === 'unwaxed' ? 'primary' : undefined"
          data-test="strip"
          @click="router.visit(`/strip?chains[]=${chain.id}`)"
          >{{ t('verbs.strip') }}</v-btn
        >
        <v-btn data-test="retire" @click="form = 'retire'">{{ t('verbs.retire') }}</v-btn>
        <v-btn data-test="details" @click="editDetails">{{ t('chain.details') }}</v-btn>
        <v-btn data-test="correct-opening" @click="correcting = { opening, kind: 'chain' }">{{ t('opening.title') }}</v-btn>
      </div>
      <WearForecast v-if="forecast && !retired" :forecast="forecast" />
      <LifeStory v-if="retired" :story="story" />
      <h2 id="life">{{ t('chain.life') }}</h2>
      <p v-if="!timeline.entries.length" class="muted">{{ t('chain.no_entries') }}</p>
      <ol v-else class="life" aria-labelledby="life">
        <li v-for="(entry, i) in timeline.entries" :key="`${entry.type}-${entry.id}-${i}`" :class="entry.type" data-test="life-entry">
          <span class="day"
            >{{ entry.day }}<span v-if="entry.time" class="muted">, {{ entry.time }}</span></span
          >
          <span class="dot" aria-hidden="true" />
          <span class="text"
            >{{ entry.text }}<span v-if="entry.left" class="muted">, {{ entry.left }}</span></span
          >
          <span v-if="here.mayWrite && entry.id !== null" class="edit">
            <button
              v-if="entry.time && entry.type !== 'openings'"
              type="button"
              :aria-label="`${t('verbs.move')}: ${entry.text}, ${entry.day}`"
              @click="move(entry)">
              {{ t('verbs.move') }}
            </button>
            <button
              type="button"
              :aria-label="`${t('verbs.delete')}: ${entry.text}, ${entry.day}`"
              :data-test="`delete-${entry.type}`"
              @click="remove(entry)">
              {{ t('verbs.delete') }}
            </button>
          </span>
        </li>
      </ol>
      <div class="row more">
        <v-btn v-if="timeline.more" @click="older">{{ t('chain.older') }} ({{ timeline.more }})</v-btn>
        <Link :href="`/history?chain=${chain.id}`">{{ t('nav.history') }}</Link>
      </div>
    </div>
    <WhyPanel v-model="figure" :why="why" />
    <template v-if="here.mayWrite">
      <OpeningDialog
        v-if="correcting"
        v-model="correctingOpen"
        :opening="correcting.opening"
        :kind="correcting.kind"
        :chain="chain.id"
        :subject="chain.name" />
      <DipDialog v-if="dipOpen" v-model="dipOpen" :forms="forms" :chains="[forPot]" :pots="pots" :list="[chain.id]" />
      <MeasureDialog v-if="measureOpen" v-model="measureOpen" :forms="forms" :chain="chain" @retire="form = 'retire'" />
      <TopUpDialog v-if="topupOpen" v-model="topupOpen" :forms="forms" :chain="chain" />
      <MomentDialog
        v-if="stripOpen"
        v-model="stripOpen"
        what="strip"
        :subject="chain.name"
        :url="`/chains/${chain.id}/strips`"
        :date="forms.date"
        :time="forms.time" />
      <RetireDialog v-if="retireOpen" v-model="retireOpen" :forms="forms" :chain="chain" />
      <MomentDialog
        v-if="moveOpen && moving"
        v-model="moveOpen"
        what="move"
        method="put"
        :subject="moving.text"
        :url="`/entries/${moving.type}/${moving.id}`"
        :date="moving.date"
        :time="moving.time ?? ''" />
      <ActionDialog
        v-model="editOpen"
        :title="`${t('chain.details')}: ${chain.name}`"
        :verb="t('verbs.save')"
        :busy="details.processing"
        :errors="details.errors"
        :known="[
          'label',
          'speeds',
          'pitches',
          'bike_id',
          'mass',
          'price',
          'bought_on',
          'drip_interval',
          'event',
          'event_on',
          'dipped_after',
        ]"
        @submit="submitDetails('put', `/chains/${chain.id}`, () => (form = null))">
        <v-select
          v-model="details.bike_id"
          :items="forms.bikes"
          item-value="id"
          item-title="name"
          :label="t('new_chain.rail')"
          :error-messages="details.errors.bike_id" />
        <div class="two">
          <v-text-field v-model="details.label" :label="t('new_chain.label')" :error-messages="details.errors.label" />
          <NumberField v-model="details.speeds" whole :label="t('new_chain.speeds')" :error-messages="details.errors.speeds" />
        </div>
        <NumberField v-model="details.pitches" whole :label="t('new_chain.pitches')" :error-messages="details.errors.pitches" />
        <TickBox v-if="Number(details.speeds) === 1" v-model="details.half_link" :label="t('new_chain.half_link')" />
        <ChainFacts v-model="details" asks-load asks-event :errors="details.errors" :units="units" />
      </ActionDialog>
    </template>
  </AppShell>
</template>

<style scoped>
.head {
  gap: 12px;
  align-items: baseline;
  margin-bottom: 14px;
}
.top {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  gap: 32px;
}
.state p {
  margin: 0;
}
p.left {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
.left .big {
  font-size: var(--type-7);
}
.word {
  font-weight: 680;
  font-size: var(--type-4);
  margin: 4px 0 2px;
}
.until {
  margin-bottom: 4px;
}
.run {
  margin-top: 12px;
}
.wear {
  display: flex;
  align-items: center;
  gap: 10px;
  margin-top: 8px;
}
dl {
  margin: 0;
  align-self: start;
  border-top: 1px solid var(--ink);
}
dl div {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
dt {
  color: var(--steel);
}
dd {
  margin: 0;
  font-weight: 620;
  text-align: right;
}
.why,
.edit button {
  background: none;
  border: 0;
  padding: 2px 4px;
  min-height: 24px;
  font: inherit;
  font-weight: 480;
  color: var(--steel);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
.acts {
  margin: 22px 0 26px;
}
.life {
  list-style: none;
  padding: 0;
  margin: 6px 0 0;
}
.life li {
  display: grid;
  grid-template-columns: 170px 18px minmax(0, 1fr) auto;
  gap: 10px;
  align-items: baseline;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
.day {
  font-size: var(--type-2);
}
.dot {
  width: 9px;
  height: 9px;
  border-radius: 50%;
  background: var(--steel-2);
  align-self: center;
  justify-self: center;
}
.dips .dot {
  background: var(--coat);
  border: 1.5px solid var(--coat-line);
  width: 14px;
  height: 14px;
}
.topups .dot {
  background: var(--coat);
  border: 1.5px solid var(--coat-line);
}
.fittings .dot,
.off .dot,
.strips .dot,
.retirements .dot {
  background: var(--ink);
  border-radius: 1px;
}
.readings .dot {
  background: transparent;
  border: 1.5px solid var(--ink);
}
.dips .text,
.fittings .text,
.strips .text,
.noises .text,
.retirements .text {
  font-weight: 680;
}
.edit {
  white-space: nowrap;
}
.more {
  margin-top: 16px;
  gap: 18px;
}
@media (max-width: 839.98px) {
  .top {
    grid-template-columns: 1fr;
    gap: 18px;
  }
  .life li {
    grid-template-columns: 18px minmax(0, 1fr);
  }
  .life .day {
    grid-column: 2;
    grid-row: 1;
    font-size: var(--type-2);
    color: var(--steel);
  }
  .life .dot {
    grid-row: 1 / 3;
  }
  .life .text,
  .life .edit {
    grid-column: 2;
  }
  .edit button {
    min-height: 44px;
    padding: 2px 18px 2px 0;
  }
}
</style>
