<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { computed, ref, watch } from 'vue'
import PlanLanes from '@/components/plan/PlanLanes.vue'
import PlannedRideDialog from '@/components/plan/PlannedRideDialog.vue'
import PlanTerms from '@/components/plan/PlanTerms.vue'
import CalendarPanel from '@/components/plan/CalendarPanel.vue'
import InTurn from '@/components/layout/InTurn.vue'
import EmptyState from '@/components/layout/EmptyState.vue'
import AppShell from '@/components/layout/AppShell.vue'
import NumberField from '@/components/forms/NumberField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import SystemSelect from '@/components/forms/SystemSelect.vue'
import { newActionId } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { ask } from '@/composables/usePreview'
import PhoneFold from '@/components/layout/PhoneFold.vue'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { PlanChange, PlanPage, PlanView, PlanWanted, WetDayView } from '@/types/server'

/** The coming weeks: when to heat the pot, what breaks when a day is moved, and what mends it. */
const props = defineProps<PlanPage>()
const here = useHere()
// What is being tried by hand; null: the plan as it holds.
const tried = ref<PlanView | null>(null)
watch(
  () => JSON.stringify(props.plan),
  () => putBack(),
)
const shown = computed(() => tried.value ?? props.plan)
// What the headline does not say already.
const breaks = computed(() => shown.value.broken.filter((line) => line !== shown.value.headline).slice(0, 3))
const chosen = ref<string | null>(null)
const problem = ref('')
const asking = ref(false)
// Asked again before the answer came: only the last one counts.
let asked = 0
// What is wanted otherwise: as it is tried, or as it holds.
const now = (): PlanWanted => shown.value.wanted
const without = (list: string[], date: string) => list.filter((other) => other !== date)
const withDate = (list: string[], date: string) => [...new Set([...list, date])].sort()
async function tryOut(change: Partial<PlanWanted> & { within?: { date: string; minutes: string } }): Promise<void> {
  problem.value = ''
  asking.value = true
  const mine = ++asked
  const result = await ask<PlanView>('post', '/ahead/try', { action_id: newActionId(), ...now(), ...change })
  if (mine !== asked) return
  asking.value = false
  if ('answer' in result) tried.value = result.answer
  else problem.value = Object.values(result.errors)[0] ?? ''
}
function putBack(): void {
  asked++
  asking.value = false
  tried.value = null
}
const send = (change: Partial<PlanWanted> & { weeks?: number }) => write('post', '/ahead/days', change)
const keep = () => send(now())
/** A pot day that is moved: pinned where it goes, and not where it was. */
function move(from: string, to: string): void {
  chosen.value = to
  const { pinned, forbidden } = now()
  void tryOut({ pinned: withDate(without(pinned, from), to), forbidden: withDate(without(forbidden, to), from) })
}
const pot = computed(() => shown.value.pots.find((one) => one.date === chosen.value) ?? shown.value.pots[0] ?? null)
const pin = (date: string, on: boolean) => tryOut({ pinned: on ? withDate(now().pinned, date) : without(now().pinned, date) })
const forbid = (date: string) => tryOut({ pinned: without(now().pinned, date), forbidden: withDate(now().forbidden, date) })
const notThisWeek = (dates: string[]) =>
  tryOut({ pinned: now().pinned.filter((one) => !dates.includes(one)), forbidden: dates.reduce(withDate, now().forbidden) })
// So many minutes somebody has for the pot day.
const have = ref('')
const leaveOut = (chainId: number, date: string) => tryOut({ not_on: [...now().not_on, { chain_id: chainId, date }] })
function letGo(change: PlanChange): void {
  const { pinned, forbidden, not_on } = props.plan.wanted
  send({
    pinned: change.kind === 'pinned' ? without(pinned, change.date) : pinned,
    forbidden: change.kind === 'forbidden' ? without(forbidden, change.date) : forbidden,
    not_on: not_on.filter((one) => change.kind !== 'not_on' || one.chain_id !== change.chain || one.date !== change.date),
  })
}
const takeOut = (dates: string[]) => tryOut({ pinned: dates.reduce(withDate, now().pinned) })
const adding = ref<'ride' | 'holiday' | null>(null)
const addOpen = computed({ get: () => adding.value !== null, set: (on: boolean) => !on && (adding.value = null) })
const horizons = [2, 4, 8, 13, 26]
const show = (weeks: number) => send({ weeks })
const print = () => window.print()
const planWet = (day: WetDayView) =>
  write('post', '/ahead/rides', {
    bike_id: day.bike,
    from: day.date,
    distance: day.distance,
    condition: day.condition,
    name: day.name,
  })
const remove = (id: number) => write('delete', `/entries/planned_rides/${id}`)
</script>

<template>
  <AppShell :title="t('ahead.title')" at="ahead" whose>
    <div class="page">
      <div class="row head">
        <h1 data-test="headline">{{ shown.headline }}</h1>
        <span class="muted about" data-test="about">{{ shown.about }}</span>
      </div>
      <EmptyState v-if="!shown.lanes.length" :text="t('ahead.none')" href="/" :verb="t('ahead.to_shed')" />
      <template v-else>
        <p v-if="problem" class="ember" role="alert">{{ problem }}</p>
        <div class="row head">
          <span data-test="sure">{{ tried ? tried.sure : sure }}</span>
          <span v-if="passed && !tried" class="passed" data-test="passed">{{ passed }}</span>
          <span class="grow" />
          <label class="horizon"
            ><span class="sr">{{ t('ahead.horizon') }}</span
            ><SystemSelect
              :model-value="weeks"
              :options="horizons.map((count) => ({ value: count, title: t('ahead.weeks', { count }) }))"
              data-test="weeks"
              @update:model-value="show"
          /></label>
          <template v-if="here.mayWrite">
            <Link href="/ahead/what-if" data-test="what-if">{{ t('what_if.title') }}</Link>
            <PushButton data-test="print" @click="print">{{ t('ahead.print') }}</PushButton>
            <PushButton data-test="add-ride" @click="adding = 'ride'">{{ t('ahead.add_ride') }}</PushButton>
            <PushButton data-test="add-holiday" @click="adding = 'holiday'">{{ t('ahead.add_holiday') }}</PushButton>
          </template>
        </div>
        <div v-if="breaks.length" class="breaks" role="alert" data-test="breaks">
          <div>
            <p v-for="line in breaks" :key="line">{{ line }}</p>
          </div>
        </div>
        <section v-if="remedies.length && !tried" aria-labelledby="remedies" data-test="remedies">
          <h2 id="remedies">{{ t('ahead.remedies') }}</h2>
          <table class="plain">
            <tbody>
              <tr v-for="(remedy, i) in remedies" :key="remedy.title">
                <td>
                  <b>{{ remedy.title }}</b>
                </td>
                <td :class="{ muted: !remedy.good }">{{ remedy.does }}</td>
                <td class="num">
                  <PushButton
                    v-if="here.mayWrite && remedy.good && remedy.dates.length"
                    :data-test="`take-${i}`"
                    @click="takeOut(remedy.dates)"
                    >{{ t('ahead.take') }}</PushButton
                  >
                </td>
              </tr>
            </tbody>
          </table>
        </section>
        <div v-if="tried" class="breaks good" role="status" data-test="tried">
          <p>
            <b>{{ tried.change }}</b>: {{ tried.about }}
          </p>
          <div class="row">
            <PushButton main data-test="keep" @click="keep">{{ t('ahead.keep') }}</PushButton>
            <PushButton data-test="put-back" @click="putBack">{{ t('ahead.back') }}</PushButton>
          </div>
        </div>
        <PlanLanes
          :plan="shown"
          :rides="rides"
          :chosen="pot?.date ?? null"
          :movable="here.mayWrite"
          @choose="chosen = $event"
          @move="move" />
        <ol class="paper" aria-hidden="true">
          <li v-for="one in shown.pots" :key="one.date">
            <b>{{ one.text }}</b>
            <span v-for="chain in one.chains" :key="chain.id">{{ chain.name }}: {{ chain.why }}</span>
          </li>
        </ol>
        <InTurn>
          <section v-if="pot" class="pot" aria-labelledby="pot-title" data-test="pot">
            <div class="row">
              <h2 id="pot-title" data-test="pot-text">{{ pot.text }}</h2>
              <span v-if="pot.accepted" class="muted small">{{ t('ahead.accepted') }}</span>
              <span class="grow" />
              <template v-if="here.mayWrite">
                <Link :href="`/pot-day?${pot.chains.map((one) => `chains[]=${one.id}`).join('&')}`" data-test="to-pot-day">{{
                  t('ahead.to_pot')
                }}</Link>
                <template v-if="!pot.accepted">
                  <PushButton data-test="pin" @click="pin(pot.date, !pot.pinned)">{{
                    t(pot.pinned ? 'ahead.unpin' : 'ahead.pin')
                  }}</PushButton>
                  <PushButton data-test="forbid" @click="forbid(pot.date)">{{ t('ahead.forbid') }}</PushButton>
                  <PushButton data-test="not-this-week" @click="notThisWeek(pot.week)">{{ t('ahead.not_this_week') }}</PushButton>
                  <form class="row have" @submit.prevent="tryOut({ within: { date: pot.date, minutes: have } })">
                    <NumberField v-model="have" :label="t('ahead.have')" unit="min" class="minutes" name="have" />
                    <PushButton type="submit" :loading="asking" data-test="within">{{ t('ahead.take') }}</PushButton>
                  </form>
                </template>
              </template>
            </div>
            <table class="plain">
              <caption class="sr">
                {{
                  t('ahead.why_these')
                }}
              </caption>
              <tbody>
                <tr v-for="one in pot.chains" :key="one.id" :data-test="`dip-${one.name}`">
                  <td>
                    <b>{{ one.name }}</b>
                  </td>
                  <td>{{ one.why }}</td>
                  <td class="num">
                    <button
                      v-if="here.mayWrite && !pot.accepted"
                      type="button"
                      class="as-link quiet"
                      :aria-label="`${t('ahead.without')}: ${one.name}`"
                      @click="leaveOut(one.id, pot.date)">
                      {{ t('ahead.without') }}
                    </button>
                  </td>
                </tr>
              </tbody>
            </table>
          </section>
          <p class="muted small">{{ t('ahead.move_hint') }}</p>
          <section v-if="changes.length" aria-labelledby="changes" data-test="changes">
            <h2 id="changes">{{ t('ahead.changes') }}</h2>
            <ul>
              <li v-for="change in changes" :key="change.text" class="row">
                <span>{{ change.text }}</span>
                <button
                  v-if="here.mayWrite"
                  type="button"
                  class="as-link"
                  :aria-label="`${t('ahead.let_go')}: ${change.text}`"
                  data-test="let-go"
                  @click="letGo(change)">
                  {{ t('ahead.let_go') }}
                </button>
              </li>
            </ul>
          </section>
          <section v-if="shown.doubts.length" class="doubts" aria-labelledby="close">
            <h2 id="close">{{ t('ahead.close') }}</h2>
            <p class="muted small">{{ t('ahead.doubts_text') }}</p>
            <p v-for="doubt in shown.doubts" :key="doubt" data-test="doubt">{{ doubt }}</p>
          </section>
        </InTurn>
        <InTurn>
          <PhoneFold :title="t('buy.title')" test="fold-buy"
            ><section aria-labelledby="buy" data-test="shopping">
              <h2 id="buy">{{ t('buy.title') }}</h2>
              <div v-if="!shopping" class="shopping-place" />
              <p v-else-if="!shopping.length" class="muted small">{{ t('buy.none') }}</p>
              <table v-else class="plain">
                <tbody>
                  <tr v-for="item in shopping" :key="item.what + item.by + item.why">
                    <td>
                      <b>{{ item.what }}</b>
                    </td>
                    <td class="nowrap">
                      {{ t('buy.by') }} {{ item.by }}<b v-if="item.soon">, {{ t('buy.soon') }}</b>
                    </td>
                    <td class="muted">{{ item.why }}</td>
                    <td class="num">{{ item.cost }}</td>
                  </tr>
                </tbody>
              </table>
            </section></PhoneFold
          >
        </InTurn>
        <InTurn>
          <div class="cols">
            <PhoneFold :title="t('ahead.rides')" test="fold-rides"
              ><section aria-labelledby="rides">
                <h2 id="rides">{{ t('ahead.rides') }}</h2>
                <p v-if="!rides.length" class="muted small">{{ t('ahead.no_planned') }}</p>
                <ul>
                  <li v-for="ride in rides" :key="ride.id" class="row" data-test="planned">
                    <span>{{ ride.text }}</span>
                    <button
                      v-if="here.mayWrite"
                      type="button"
                      class="as-link"
                      :aria-label="`${t('verbs.delete')}: ${ride.text}`"
                      @click="remove(ride.id)">
                      {{ t('verbs.delete') }}
                    </button>
                  </li>
                </ul>
                <template v-if="wetDays.length">
                  <h2>{{ t('weather.days') }}</h2>
                  <p class="muted small">{{ t('weather.days_text') }}</p>
                  <ul>
                    <li v-for="day in wetDays" :key="`${day.bike} ${day.date}`" class="row" data-test="wet-day">
                      <span>{{ day.text }}</span>
                      <button
                        v-if="here.mayWrite"
                        type="button"
                        class="as-link"
                        :aria-label="`${day.verb}: ${day.text}`"
                        @click="planWet(day)">
                        {{ day.verb }}
                      </button>
                    </li>
                  </ul>
                </template>
                <template v-if="oddWeeks.length">
                  <h2>{{ t('ahead.odd_weeks') }}</h2>
                  <p class="muted small">{{ t('ahead.odd_text') }}</p>
                  <ul>
                    <li v-for="week in oddWeeks" :key="`${week.bike} ${week.monday}`" class="row" data-test="odd-week">
                      <span>{{ week.text }}</span>
                      <button
                        v-if="here.mayWrite"
                        type="button"
                        class="as-link"
                        :aria-label="`${t(week.out ? 'ahead.odd_in' : 'ahead.odd_out')}: ${week.text}`"
                        @click="write('put', `/bikes/${week.bike}/odd-weeks`, { monday: week.monday, out: !week.out })">
                        {{ t(week.out ? 'ahead.odd_in' : 'ahead.odd_out') }}
                      </button>
                    </li>
                  </ul>
                </template>
                <CalendarPanel :on="calendar" />
                <details>
                  <summary>{{ t('strip_plan.why') }}</summary>
                  <p class="small">{{ t('ahead.worked_out') }}</p>
                </details>
              </section></PhoneFold
            >
            <InTurn>
              <PhoneFold v-if="here.mayWrite" :title="t('ahead.terms')" test="fold-terms">
                <PlanTerms :terms="terms" :weekdays="weekdays" :learned="learned" />
              </PhoneFold>
            </InTurn>
          </div>
        </InTurn>
      </template>
    </div>
    <PlannedRideDialog v-if="adding" v-model="addOpen" :forms="forms" :holiday="adding === 'holiday'" />
  </AppShell>
</template>

<style scoped>
.head {
  gap: 8px 14px;
  align-items: baseline;
}
.grow {
  flex: 1;
}
.passed {
  flex-basis: 100%;
}
.horizon select {
  font-weight: 620;
}
.breaks {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 8px 18px;
  background: var(--paper);
  border-left: 5px solid var(--ember);
  padding: 10px 14px;
  margin: 12px 0;
}
.breaks.good {
  border-color: var(--ink);
}
.breaks p {
  margin: 2px 0;
  font-weight: 560;
}
.pot {
  margin: 10px 0 4px;
}
.pot .row {
  gap: 8px 14px;
  align-items: baseline;
}
.have {
  flex-wrap: nowrap;
}
.have .minutes {
  width: 128px;
}
.pot h2 {
  margin: 0;
}
.doubts p {
  margin: 3px 0;
}
/* As high as a short list: what lies below stays where it is. */
.shopping-place {
  height: 96px;
}
.cols {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 40px;
  align-items: start;
  margin-top: 22px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 6px 0 14px;
}
li {
  justify-content: space-between;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
@media (max-width: 71.56em) {
  .cols {
    grid-template-columns: minmax(0, 1fr);
  }
}
/* On paper: the weeks, their pot days and what to buy, on one page. */
.paper {
  display: none;
}
@media print {
  @page {
    size: landscape;
    margin: 10mm;
  }
  :deep(.scroll) {
    zoom: 0.58;
  }
  .paper {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 6px 24px;
    margin: 8px 0;
    padding: 0;
    list-style: none;
  }
  .paper span {
    display: block;
    font-size: var(--type-2);
  }
  .pot,
  .cols,
  .head button,
  .head a,
  .horizon,
  section[data-test='remedies'] {
    display: none;
  }
}
</style>
