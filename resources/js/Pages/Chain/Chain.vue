<script setup lang="ts">
import { router } from '@inertiajs/vue3'
import { computed, onMounted, ref } from 'vue'
import ChainLife from '@/components/chain/ChainLife.vue'
import ChainRun from '@/components/chain/ChainRun.vue'
import LifeStory from '@/components/chain/LifeStory.vue'
import PushButton from '@/components/layout/PushButton.vue'
import WearForecast from '@/components/chain/WearForecast.vue'
import HookTag from '@/components/chain/HookTag.vue'
import WearRule from '@/components/chain/WearRule.vue'
import WhyPanel from '@/components/chain/WhyPanel.vue'
import InTurn from '@/components/layout/InTurn.vue'
import AppShell from '@/components/layout/AppShell.vue'
import NotCounted from '@/components/shed/NotCounted.vue'
import { useHere } from '@/composables/useHere'
import { useKeys } from '@/composables/useKeys'
import PhoneFold from '@/components/layout/PhoneFold.vue'
import { t } from '@/composables/useText'
import type { ChainPage, ForecastView, OpeningView } from '@/types/server'
import { lazily } from '@/composables/lazily'
import { useOneOpen } from '@/composables/useOneOpen'

const ChainDetailsDialog = lazily(() => import('@/components/chain/ChainDetailsDialog.vue'))
const DipDialog = lazily(() => import('@/components/forms/DipDialog.vue'))
const MeasureDialog = lazily(() => import('@/components/forms/MeasureDialog.vue'))
const OpeningDialog = lazily(() => import('@/components/forms/OpeningDialog.vue'))
const MomentDialog = lazily(() => import('@/components/forms/MomentDialog.vue'))
const RetireDialog = lazily(() => import('@/components/forms/RetireDialog.vue'))
const TopUpDialog = lazily(() => import('@/components/forms/TopUpDialog.vue'))

const props = defineProps<ChainPage & { forecast?: ForecastView | null }>()
const correcting = ref<{ opening: OpeningView | null; kind: 'chain' | 'link' } | null>(null)
const correctingOpen = computed({ get: () => correcting.value !== null, set: (on: boolean) => !on && (correcting.value = null) })
const here = useHere()
const figure = ref<string | null>(null)
onMounted(() => {
  const asked = new URLSearchParams(window.location.search)
  figure.value = asked.get('why')
  const wanted = asked.get('do')
  if ((wanted === 'strip' || wanted === 'measure') && here.value.mayWrite) form.value = wanted
})

const { open: form, shown } = useOneOpen<'dip' | 'measure' | 'topup' | 'strip' | 'oil' | 'retire' | 'edit'>()
const [dipOpen, measureOpen, topupOpen, stripOpen, oilOpen, retireOpen, editOpen] = [
  shown('dip'),
  shown('measure'),
  shown('topup'),
  shown('strip'),
  shown('oil'),
  shown('retire'),
  shown('edit'),
]
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
      <NotCounted :chain="chain.id" />
      <div class="top">
        <div class="so-far">
          <section class="state" :aria-label="chain.name">
            <p v-if="chain.waxed" class="left">
              <template v-if="!chain.unsure"
                ><span class="big" data-test="left">{{ chain.left }}</span> <span class="muted">{{ t('chain.coat') }}</span></template
              ><span v-if="chain.alsoLeft" class="muted" data-test="also-left">{{ chain.alsoLeft }}</span>
              <button
                v-if="why.some((w) => w.figure === 'left')"
                type="button"
                class="as-link quiet"
                data-test="why-left"
                @click="figure = 'left'">
                {{ t('chain.why') }}
              </button>
            </p>
            <p class="word" :class="{ ember: chain.late }" data-test="state" :data-status="chain.status">
              <template v-if="chain.status !== 'ridden'">{{ chain.word }}</template>
              <span class="muted">{{ chain.status !== 'ridden' && chain.detail ? ', ' : '' }}{{ chain.detail }}</span>
            </p>
            <p v-if="outlook" class="until">
              {{ outlook[0] }} <b>{{ outlook[1] }}</b>{{ outlook[2] }}
              <button v-if="why.some((w) => w.figure === 'good_until')" type="button" class="as-link quiet" @click="figure = 'good_until'">
                {{ t('chain.why') }}
              </button>
            </p>
            <p v-if="why.some((w) => w.figure === 'bare')" class="until">
              <button type="button" class="as-link quiet" @click="figure = 'bare'">{{ t('chain.why') }}</button>
            </p>
            <ChainRun :coat="chain.coat" :left="chain.left" :unsure="chain.unsure" />
            <div class="wear">
              <WearRule :wear="chain.wear" :width="200" /><span class="muted small">{{ chain.wear.of }}</span>
            </div>
          </section>
          <div v-if="here.mayWrite && !retired" class="row acts">
            <PushButton v-if="chain.dripOnly && !chain.worn" main data-test="drip" @click="router.visit(`/chains/${chain.id}/drip`)">{{
              t('verbs.topup')
            }}</PushButton>
            <PushButton v-if="!chain.worn && !chain.dripOnly" :main="chain.wantsDip" data-test="dip" @click="form = 'dip'">{{
              t('verbs.dip')
            }}</PushButton>
            <PushButton data-test="measure" @click="form = 'measure'">{{ t('verbs.measure') }}</PushButton>
            <PushButton v-if="chain.waxed && !chain.dripOnly" data-test="topup" @click="form = 'topup'">{{ t('verbs.topup') }}</PushButton>
            <PushButton v-if="job" main data-test="go-on" @click="router.visit(`/jobs/${job}`)">{{ t('verbs.go') }}</PushButton>
            <PushButton v-else :main="chain.greasy" data-test="strip" @click="router.visit(`/strip?chains[]=${chain.id}`)">{{
              t('verbs.strip')
            }}</PushButton>
            <PushButton v-if="!chain.greasy" data-test="oil" @click="form = 'oil'">{{ t('verbs.oil') }}</PushButton>
            <PushButton data-test="retire" @click="form = 'retire'">{{ t('verbs.retire') }}</PushButton>
            <PushButton data-test="details" @click="form = 'edit'">{{ t('chain.details') }}</PushButton>
            <PushButton data-test="correct-opening" @click="correcting = { opening, kind: 'chain' }">{{ t('opening.title') }}</PushButton>
          </div>
          <PhoneFold v-if="foreseen && forecast !== null" :title="t('chain.wear_ahead')" test="fold-forecast">
            <WearForecast v-if="forecast" :forecast="forecast" />
            <div v-else class="forecast-place" />
          </PhoneFold>
          <LifeStory v-if="retired" :story="story" />
        </div>
        <PhoneFold :title="t('chain.facts')" test="fold-facts"
          ><dl>
            <div v-for="fact in facts" :key="fact.name">
              <dt>{{ fact.name }}</dt>
              <dd>
                {{ fact.value }}
                <button
                  v-if="fact.why"
                  type="button"
                  class="as-link quiet"
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
                  class="as-link quiet"
                  data-test="correct-link"
                  @click="correcting = { opening: link.opening, kind: 'link' }">
                  {{ t('opening.correct') }}
                </button>
              </dd>
            </div>
          </dl></PhoneFold
        >
      </div>
      <InTurn><ChainLife class="life" :chain="chain" :timeline="timeline" :may-write="here.mayWrite" /></InTurn>
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
      <MomentDialog
        v-if="oilOpen"
        v-model="oilOpen"
        what="oil"
        :subject="chain.name"
        :url="`/chains/${chain.id}/oilings`"
        :date="forms.date"
        :time="forms.time" />
      <RetireDialog v-if="retireOpen" v-model="retireOpen" :forms="forms" :chain="chain" />
      <ChainDetailsDialog v-if="editOpen" v-model="editOpen" :chain="chain" :edit="edit" :forms="forms" :units="units" />
    </template>
  </AppShell>
</template>

<style scoped>
/* As high as what comes there. */
.forecast-place {
  min-height: 512px;
}
.head {
  gap: 12px;
  align-items: baseline;
  margin-bottom: 14px;
}
.top {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  gap: 44px;
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
.so-far {
  display: grid;
  gap: 18px;
  align-content: start;
}
.life {
  margin-top: 22px;
}
@media (max-width: 52.49em) {
  /* As large as a thumb, and its line stays as close to the one above. */
  .until .as-link {
    margin-block: -10px;
  }
  .top {
    grid-template-columns: 1fr;
    gap: 18px;
  }
}
</style>
