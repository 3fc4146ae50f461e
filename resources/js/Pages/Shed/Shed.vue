<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { useLocalStorage } from '@vueuse/core'
import { computed, onMounted, ref, watch } from 'vue'
import AppShell from '@/components/layout/AppShell.vue'
import BikeRail, { type RailVerb } from '@/components/shed/BikeRail.vue'
import DemoGuide from '@/components/shed/DemoGuide.vue'
import InTurn from '@/components/layout/InTurn.vue'
import FirstSteps from '@/components/shed/FirstSteps.vue'
import NextPanel from '@/components/shed/NextPanel.vue'
import PotCard from '@/components/shed/PotCard.vue'
import { placeOf } from '@/composables/nextStep'
import { formsNow, nowHere } from '@/composables/nowHere'
import { chainDrag, useChainDrag } from '@/composables/useChainDrag'
import { useHere } from '@/composables/useHere'
import { useInTurn } from '@/composables/useInTurn'
import { useKeys } from '@/composables/useKeys'
import { t } from '@/composables/useText'
import { usePhone } from '@/composables/usePhone'
import { swap, write } from '@/composables/useWrite'
import { wantedForm } from '@/composables/wantedForm'
import { mending } from '@/offline/entries'
import type { NextStep, ShedPage } from '@/types/server'
import { lazily } from '@/composables/lazily'
import { useOneOpen } from '@/composables/useOneOpen'

const CatchUpDialog = lazily(() => import('@/components/forms/CatchUpDialog.vue'))
const CorrectDialog = lazily(() => import('@/components/forms/CorrectDialog.vue'))
const DipDialog = lazily(() => import('@/components/forms/DipDialog.vue'))
const MeasureDialog = lazily(() => import('@/components/forms/MeasureDialog.vue'))
const MomentDialog = lazily(() => import('@/components/forms/MomentDialog.vue'))
const RetireDialog = lazily(() => import('@/components/forms/RetireDialog.vue'))
const MoveRidesDialog = lazily(() => import('@/components/forms/MoveRidesDialog.vue'))
const RideDialog = lazily(() => import('@/components/forms/RideDialog.vue'))
const SwapDialog = lazily(() => import('@/components/forms/SwapDialog.vue'))
const TopUpDialog = lazily(() => import('@/components/forms/TopUpDialog.vue'))

const props = defineProps<ShedPage>()
const here = useHere()

const { open: form, shown } = useOneOpen<RailVerb | 'dip' | 'retire' | 'choose_bike'>()
const phone = usePhone()
const bike = ref<number | null>((props.rails.find((one) => one.today) ?? props.rails[0])?.id ?? null)
const chain = ref<{ id: number; name: string } | null>(null)
const dripped = computed(() => {
  const view = props.rails.flatMap((other) => [other.fitted, ...other.hanging]).find((other) => other?.id === chain.value?.id)
  return chain.value && { ...chain.value, topUpCounts: view?.topUpCounts ?? true }
})
const wanted = ref<number | null>(null)
// Why a chain that was dragged or proposed did not go on.
const problem = ref<string | null>(null)
const when = ref<{ date: string | null; time: string | null }>({ date: null, time: null })
const rail = computed(() => props.rails.find((other) => other.id === bike.value) ?? props.rails[0])
const [rideOpen, swapOpen, topupOpen, measureOpen, loudOpen, dipOpen, retireOpen, catchUpOpen, correctOpen, chooseOpen] = [
  shown('ride'),
  shown('swap'),
  shown('topup'),
  shown('measure'),
  shown('loud'),
  shown('dip'),
  shown('retire'),
  shown('catch_up'),
  shown('correct'),
  shown('choose_bike'),
]
const openRides = ref<NextStep | null>(null)

const proposed = () => props.pot.chains.filter((other) => other.proposed).map((other) => other.id)
const list = ref<number[]>(proposed())
watch(
  () => proposed().join(),
  () => (list.value = proposed()),
)

// Whatever is chosen stands open, too.
const ordered = computed(() => (phone.value ? [...props.rails].sort((one, other) => Number(other.today) - Number(one.today)) : props.rails))
// The first with the page, the others one by one after it.
const inTurn = useInTurn(() => ordered.value, 1)
const unfolded = ref<number[]>(bike.value === null ? [] : [bike.value])
function fold(id: number): void {
  unfolded.value = unfolded.value.includes(id) ? unfolded.value.filter((other) => other !== id) : [...unfolded.value, id]
}
// The first steps stay until they are done, or hidden on this device; Help shows them again.
const hasChains = computed(() => props.rails.some((other) => other.fitted || other.hanging.length))
const hidden = useLocalStorage('dripel.steps.hidden', false)
const asked = ref(new URLSearchParams(window.location.search).has('steps'))
const steps = computed(() => asked.value || (!hidden.value && (!hasChains.value || !props.pot.pots.length)))
function hideSteps(): void {
  asked.value = false
  hidden.value = true
}

function open(verb: RailVerb, id: number): void {
  bike.value = id
  wanted.value = null
  chain.value = rail.value?.fitted ?? null
  when.value = { date: null, time: null }
  form.value = verb
}
function swapNow(bikeId: number, chainId: number): void {
  problem.value = null
  const hanging = props.rails.find((other) => other.id === bikeId)?.hanging.find((other) => other.id === chainId)
  if (hanging?.fit?.length || props.rails.find((other) => other.id === bikeId)?.fitted?.wear.due) {
    // Something speaks against it, or the one that comes off is to be measured: the form says what, and how it can be done.
    bike.value = bikeId
    wanted.value = chainId
    when.value = { date: null, time: null }
    form.value = 'swap'
    return
  }
  swap(bikeId, chainId, formsNow(props.forms), { onError: (errors) => (problem.value = Object.values(errors)[0] ?? null) })
}
function dip(chains: number[]): void {
  list.value = chains
  form.value = 'dip'
}
function act(line: NextStep): void {
  bike.value = line.bike ?? bike.value
  const place = placeOf(line)
  if (place !== null) router.visit(place)
  else if (line.verb === 'wipe') write('post', `/chains/${line.chains[0]}/cares`, { care: 'wiped', ...nowHere() })
  else if (line.verb === 'swap' && line.bike !== null && line.swapTo !== null) swapNow(line.bike, line.swapTo)
  else if (line.verb === 'fit') {
    wanted.value = null
    when.value = { date: line.date, time: line.time }
    form.value = 'swap'
  } else if (line.verb === 'choose_bike') {
    openRides.value = line
    form.value = 'choose_bike'
  } else if (line.verb === 'confirm' && line.bike !== null) {
    write('post', `/bikes/${line.bike}/commute-days`, { dates: line.days.map((day) => day.date), ridden: true })
  } else if (line.verb === 'retire' || line.verb === 'measure') {
    chain.value = { id: line.chains[0] ?? 0, name: line.subject }
    form.value = line.verb
  }
}
// Another page sends here what is done in a form of the Shed, by its key.
onMounted(() => {
  const key = decodeURIComponent(location.hash.slice(1))
  const step = props.next.flatMap((line) => [line.line, ...line.steps]).find((other) => other.key === key)
  if (key === '') return
  history.replaceState(history.state, '', location.pathname)
  if (step && here.value.mayWrite) act(step)
})
// A refused entry is put right in the form that it came from, with all its fields.
function mend(): void {
  const entry = mending.value
  if (!entry) return
  bike.value = entry.bikes[0] ?? bike.value
  chain.value = { id: entry.chains[0] ?? 0, name: entry.subject }
  wanted.value = entry.kind === 'swap' ? (entry.data.chain_id as number | null) : null
  when.value = { date: null, time: null }
  if (entry.kind === 'dip') list.value = entry.data.chains as number[]
  form.value =
    ({ ride: 'ride', swap: 'swap', reading: 'measure', loud: 'loud', topup: 'topup', dip: 'dip' } as const)[entry.kind as 'ride'] ?? null
}
function openWanted(): void {
  const asked = wantedForm.value
  if (!asked || !here.value.mayWrite) return
  wantedForm.value = null
  open(asked.verb, asked.bike ?? rail.value?.id ?? 0)
}
onMounted(mend)
onMounted(openWanted)
watch(wantedForm, openWanted)
watch(mending, mend)
watch(form, (open) => open === null && (mending.value = null))
function retire(worn: { id: number; name: string }): void {
  chain.value = worn
  form.value = 'retire'
}
const { grab } = useChainDrag((id, place) => {
  if (place === 'pot') {
    if (props.pot.chains.some((other) => other.id === id) && !list.value.includes(id)) list.value = [...list.value, id]
  } else swapNow(Number(place.replace('bike-', '')), id)
})

const onBike = (verb: RailVerb) => () => {
  if (here.value.mayWrite && rail.value && (['ride', 'swap', 'catch_up', 'correct'].includes(verb) || rail.value.fitted))
    open(verb, rail.value.id)
}
useKeys({
  ...Object.fromEntries(props.rails.slice(0, 9).map((other, i) => [String(i + 1), () => (bike.value = other.id)])),
  s: onBike('swap'),
  r: onBike('ride'),
  t: onBike('topup'),
  m: onBike('measure'),
  n: onBike('loud'),
  c: onBike('catch_up'),
  x: onBike('correct'),
  d: () => here.value.mayWrite && list.value.length && dip(list.value),
})
</script>

<template>
  <AppShell :title="t('shed.title')" at="shed" whose>
    <h1 class="sr">{{ t('shed.title') }}</h1>
    <p v-if="problem" class="problem ember" role="alert" data-test="shed-problem">{{ problem }}</p>
    <DemoGuide v-if="here.demo && !phone" />
    <FirstSteps
      v-if="rails.length && here.mayWrite && steps"
      :big="false"
      bikes
      :chains="hasChains"
      :pots="pot.pots.length > 0"
      :may-write="here.mayWrite"
      @hide="hideSteps" />
    <div v-if="rails.length" class="shed">
      <NextPanel
        v-if="phone"
        class="first"
        :title="t('shed.next')"
        :empty="t('shed.next_empty')"
        :lines="next"
        :may-write="here.mayWrite"
        @act="act" />
      <div>
        <!-- On the phone the bike of today stands open, the others are a line each. -->
        <BikeRail
          v-for="other in inTurn"
          :key="other.id"
          :rail="other"
          :chosen="other.id === bike"
          :may-write="here.mayWrite"
          :folded="phone && !unfolded.includes(other.id)"
          :may-fold="phone"
          @fold="fold(other.id)"
          @verb="open($event, other.id)"
          @grab="(event, dragged) => grab(event, dragged.id, dragged.name)" />
        <!-- Below the last of them: it does not move while they come. -->
        <div v-if="here.mayWrite && inTurn.length === rails.length" class="row add">
          <Link href="/chains/new" data-test="add-chain">{{ t('shed.add_chain') }}</Link>
          <Link href="/bikes/new" data-test="add-bike">{{ t('shed.add_bike') }}</Link>
          <Link href="/arrive" data-test="arrive">{{ t('shed.arrive') }}</Link>
        </div>
      </div>
      <aside>
        <InTurn v-if="!phone">
          <NextPanel :title="t('shed.next')" :empty="t('shed.next_empty')" :lines="next" :may-write="here.mayWrite" @act="act" />
        </InTurn>
        <InTurn
          ><PotCard
            v-model="list"
            :chains="pot.chains"
            :solvent-out="pot.solventOut"
            :pots="pot.pots"
            :may-write="here.mayWrite"
            @dip="dip(list)"
        /></InTurn>
      </aside>
    </div>
    <FirstSteps v-else big :bikes="false" :chains="false" :pots="pot.pots.length > 0" :may-write="here.mayWrite" />
    <DemoGuide v-if="here.demo && phone" />
    <div v-if="chainDrag.chain !== null" class="ghost" :style="{ left: `${chainDrag.x}px`, top: `${chainDrag.y}px` }">
      {{ chainDrag.label }}
    </div>
    <template v-if="here.mayWrite && rail">
      <RideDialog v-if="rideOpen" v-model="rideOpen" :forms="forms" :bike="bike" />
      <SwapDialog
        v-if="swapOpen"
        v-model="swapOpen"
        :forms="forms"
        :rail="rail"
        :spares="spares"
        :date="when.date"
        :time="when.time"
        :wanted="wanted"
        @retire="retire" />
      <CatchUpDialog v-if="catchUpOpen" v-model="catchUpOpen" :forms="forms" :bike="rail.id" />
      <CorrectDialog v-if="correctOpen" v-model="correctOpen" :forms="forms" :bike="rail.id" />
      <DipDialog v-if="dipOpen" v-model="dipOpen" :forms="forms" :chains="pot.chains" :pots="pot.pots" :list="list" />
      <MomentDialog
        v-if="loudOpen"
        v-model="loudOpen"
        what="loud"
        :subject="rail.name"
        :url="`/bikes/${rail.id}/noises`"
        :date="forms.date"
        :time="forms.time" />
      <template v-if="chain">
        <TopUpDialog v-if="topupOpen && dripped" v-model="topupOpen" :forms="forms" :chain="dripped" />
        <MeasureDialog v-if="measureOpen" v-model="measureOpen" :forms="forms" :chain="chain" @retire="form = 'retire'" />
        <RetireDialog v-if="retireOpen" v-model="retireOpen" :forms="forms" :chain="chain" />
      </template>
    </template>
    <MoveRidesDialog
      v-if="chooseOpen && openRides"
      v-model="chooseOpen"
      :forms="forms"
      :rides="openRides.rides"
      :about="openRides.reason" />
  </AppShell>
</template>

<style scoped>
.shed {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 392px;
  align-items: stretch;
  min-height: calc(100vh - 56px);
  margin-bottom: -64px;
}
.shed > div {
  padding-bottom: 64px;
}
aside {
  background: var(--paper);
  border-left: 1.5px solid var(--ink);
  padding: 16px 22px 72px;
}
.problem {
  margin: 0;
  padding: 10px 24px;
  background: var(--paper);
  border-bottom: 1.5px solid var(--ember);
  font-weight: 620;
}
.add {
  padding: 14px 24px;
  gap: 18px;
  font-weight: 620;
}
.ghost {
  position: fixed;
  transform: translate(12px, 8px);
  background: var(--ink);
  color: var(--paper);
  font-weight: 680;
  padding: 4px 10px;
  border-radius: 3px;
  pointer-events: none;
  z-index: 20;
}
@media (max-width: 71.56em) {
  .shed {
    grid-template-columns: minmax(0, 1fr);
  }
  .first {
    background: var(--paper);
    border-bottom: 1.5px solid var(--ink);
    padding: 12px 14px 4px;
  }
  aside {
    border-left: 0;
    border-top: 1.5px solid var(--ink);
    padding: 16px 14px 80px;
  }
}
@media (max-width: 52.49em) {
  .shed {
    margin: 0;
    min-height: 0;
  }
  .shed > div {
    padding-bottom: 8px;
  }
  aside {
    padding: 4px 14px;
  }
}
</style>
