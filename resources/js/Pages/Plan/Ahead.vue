<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { computed, ref, watch } from 'vue'
import PlanLanes from '@/components/plan/PlanLanes.vue'
import PlannedRideDialog from '@/components/plan/PlannedRideDialog.vue'
import PlanTerms from '@/components/plan/PlanTerms.vue'
import CalendarPanel from '@/components/plan/CalendarPanel.vue'
import AppShell from '@/components/layout/AppShell.vue'
import SystemSelect from '@/components/forms/SystemSelect.vue'
import { newActionId } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { ask } from '@/composables/usePreview'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { PlanPage, PlanView } from '@/types/server'

/** The coming weeks: when to heat the pot, what breaks when a day is moved, and what mends it. */
const props = defineProps<PlanPage>()
const here = useHere()
// What is being tried by hand; null: the plan as it holds.
const tried = ref<PlanView | null>(null)
watch(
  () => JSON.stringify(props.plan),
  () => (tried.value = null),
)
const shown = computed(() => tried.value ?? props.plan)
const dates = computed(() => shown.value.pots.map((pot) => pot.date))
const chosen = ref<string | null>(null)
const problem = ref('')
async function tryOut(wanted: string[], bottle: boolean): Promise<void> {
  const result = await ask<PlanView>('post', '/ahead/try', { action_id: newActionId(), dates: wanted, bottle, weeks: props.weeks })
  if ('answer' in result) tried.value = result.answer
  else problem.value = Object.values(result.errors)[0] ?? ''
}
function move(from: string, to: string): void {
  chosen.value = to
  void tryOut(
    [...new Set(dates.value.map((date) => (date === from ? to : date)))].sort(),
    shown.value.bottle && props.plan.bottle && tried.value?.bottle === true,
  )
}
const send = (url: string, data: { pinned?: string[]; forbidden?: string[]; dates?: string[] }) =>
  write('post', url, { dates: dates.value, bottle: shown.value.bottle, weeks: props.weeks, ...data })
const keep = () => send('/ahead/keep', {})
const again = (pinned = props.pinned, forbidden = props.forbidden) => send('/ahead/again', { pinned, forbidden, dates: [] })
const without = (list: string[], date: string) => list.filter((other) => other !== date)
const pot = computed(() => shown.value.pots.find((one) => one.date === chosen.value) ?? null)
const drop = (date: string) => tryOut(without(dates.value, date), false)
const adding = ref<'ride' | 'holiday' | null>(null)
const addOpen = computed({ get: () => adding.value !== null, set: (on: boolean) => !on && (adding.value = null) })
const horizons = [2, 4, 8, 13, 26]
const show = (weeks: number) => router.get('/ahead', { weeks }, { preserveScroll: true })
const remove = (id: number) => write('delete', `/entries/planned_rides/${id}`)
const unfollow = () => write('post', '/ahead/unfollow')
</script>

<template>
  <AppShell :title="t('ahead.title')" at="ahead">
    <div class="page">
      <div class="row head">
        <h1 data-test="headline">{{ shown.headline }}</h1>
        <span class="muted about" data-test="about">{{ shown.about }}</span>
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
          <v-btn data-test="add-ride" @click="adding = 'ride'">{{ t('ahead.add_ride') }}</v-btn>
          <v-btn data-test="add-holiday" @click="adding = 'holiday'">{{ t('ahead.add_holiday') }}</v-btn>
          <v-btn v-if="byHand || tried" data-test="again" @click="again()">{{ t('ahead.again') }}</v-btn>
        </template>
      </div>
      <p v-if="problem" class="ember" role="alert">{{ problem }}</p>
      <div v-if="shown.broken.length" class="breaks" role="alert" data-test="breaks">
        <div>
          <p v-for="line in shown.broken.slice(0, 3)" :key="line">{{ line }}</p>
          <p v-if="shown.blocked" class="muted">{{ shown.blocked }}</p>
        </div>
        <div class="row">
          <v-btn
            v-for="(repair, i) in here.mayWrite ? shown.repairs : []"
            :key="repair.text"
            :variant="i === 0 ? 'flat' : 'outlined'"
            :color="i === 0 ? 'primary' : undefined"
            :data-test="`repair-${i}`"
            @click="tryOut(repair.dates, repair.bottle)"
            >{{ repair.text }}</v-btn
          >
          <v-btn v-if="tried" data-test="put-back" @click="tried = null">{{ t('ahead.back') }}</v-btn>
        </div>
      </div>
      <div v-else-if="tried" class="breaks good" role="status" data-test="tried">
        <p>
          <b>{{ t('ahead.moved') }}</b>: {{ tried.about }}
        </p>
        <div class="row">
          <v-btn variant="flat" color="primary" data-test="keep" @click="keep">{{ t('ahead.keep') }}</v-btn>
          <v-btn data-test="put-back" @click="tried = null">{{ t('ahead.back') }}</v-btn>
        </div>
      </div>
      <PlanLanes :plan="shown" :chosen="chosen" :movable="here.mayWrite" @choose="chosen = $event" @move="move" />
      <div class="row below">
        <template v-if="pot">
          <span data-test="pot-text">{{ pot.text }}</span>
          <template v-if="here.mayWrite">
            <Link :href="`/pot-day?${pot.chains.map((id) => `chains[]=${id}`).join('&')}`" data-test="to-pot-day">{{
              t('ahead.to_pot')
            }}</Link>
            <v-btn size="small" data-test="pin" @click="again(pot.pinned ? without(pinned, pot.date) : [...pinned, pot.date])">{{
              t(pot.pinned ? 'ahead.unpin' : 'ahead.pin')
            }}</v-btn>
            <v-btn size="small" data-test="forbid" @click="again(without(pinned, pot.date), [...forbidden, pot.date])">{{
              t('ahead.forbid')
            }}</v-btn>
            <v-btn size="small" data-test="drop-pot" @click="drop(pot.date)">{{ t('verbs.delete') }}</v-btn>
          </template>
        </template>
        <span v-else class="muted">{{ t('ahead.move_hint') }}</span>
        <span class="grow" />
        <template v-if="here.mayWrite && !tried">
          <template v-if="followed">
            <span class="muted" data-test="followed">{{ t('ahead.followed') }}</span>
            <v-btn size="small" data-test="unfollow" @click="unfollow">{{ t('ahead.unfollow') }}</v-btn>
          </template>
          <v-btn v-else-if="plan.feasible" variant="flat" color="primary" data-test="follow" @click="again()">{{
            t('ahead.follow')
          }}</v-btn>
        </template>
      </div>
      <section v-if="shown.doubts.length" class="doubts" aria-labelledby="close">
        <h2 id="close">{{ t('ahead.close') }}</h2>
        <p class="muted small">{{ t('ahead.doubts_text') }}</p>
        <p v-for="doubt in shown.doubts" :key="doubt" data-test="doubt">{{ doubt }}</p>
      </section>
      <section v-if="remedies.length && !tried" aria-labelledby="remedies" data-test="remedies">
        <h2 id="remedies">{{ t('ahead.remedies') }}</h2>
        <table class="plain">
          <tbody>
            <tr v-for="remedy in remedies" :key="remedy.title">
              <td>
                <b>{{ remedy.title }}</b>
              </td>
              <td :class="{ muted: !remedy.good }">{{ remedy.does }}</td>
            </tr>
          </tbody>
        </table>
      </section>
      <section aria-labelledby="buy" data-test="shopping">
        <h2 id="buy">{{ t('buy.title') }}</h2>
        <p v-if="!shopping.length" class="muted small">{{ t('buy.none') }}</p>
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
      </section>
      <div class="cols">
        <section aria-labelledby="rides">
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
          <CalendarPanel :address="calendar" :may-write="here.mayWrite" />
          <details>
            <summary>{{ t('strip_plan.why') }}</summary>
            <p class="small">{{ t('ahead.worked_out') }}</p>
          </details>
        </section>
        <PlanTerms v-if="here.mayWrite" :terms="terms" :weekdays="weekdays" />
      </div>
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
.below {
  gap: 8px 14px;
  margin: 12px 0 24px;
  min-height: 34px;
}
.doubts p {
  margin: 3px 0;
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
@media (max-width: 1144.98px) {
  .cols {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
