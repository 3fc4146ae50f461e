<script setup lang="ts">
import { Head, Link, router } from '@inertiajs/vue3'
import { useEventListener, useWakeLock } from '@vueuse/core'
import { computed, onMounted, ref, watch } from 'vue'
import PushButton from '@/components/layout/PushButton.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import BathField from '@/components/guided/BathField.vue'
import BathPanel from '@/components/guided/BathPanel.vue'
import JobBar from '@/components/guided/JobBar.vue'
import JobLanes from '@/components/guided/JobLanes.vue'
import JobOver from '@/components/guided/JobOver.vue'
import MlField from '@/components/guided/MlField.vue'
import SayPanel from '@/components/guided/SayPanel.vue'
import TimeLanes from '@/components/guided/TimeLanes.vue'
import ResidueBars from '@/components/guided/ResidueBars.vue'
import StepActs from '@/components/guided/StepActs.vue'
import StepDrawing from '@/components/guided/StepDrawing.vue'
import StepTicks from '@/components/guided/StepTicks.vue'
import StepTimer from '@/components/guided/StepTimer.vue'
import WeighFields from '@/components/guided/WeighFields.vue'
import PotDayOver from '@/components/guided/PotDayOver.vue'
import { useBell } from '@/composables/useBell'
import { notify } from '@/composables/useReminders'
import { useHere } from '@/composables/useHere'
import { useJob } from '@/composables/useJob'
import { useKeys } from '@/composables/useKeys'
import { timerDigits } from '@/composables/timerDigits'
import { teethSeen } from '@/composables/teethSeen'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { JobView } from '@/types/server'

const props = defineProps<{ job: JobView }>()
const here = useHere()
const { state, step, left, nowS, away, moved, problem, waiting, tap } = useJob(props.job)
const { on: bellOn, locked, ring, stop } = useBell()
// The page came anew, after a correction or an undo.
watch(
  () => props.job,
  (fresh) => Object.assign(state, fresh),
)
const wake = useWakeLock()
onMounted(() => wake.isSupported.value && wake.request('screen').catch(() => undefined))

const ticked = ref<string[]>([])
const askTicks = ref(false)
const position = computed(() => state.current?.position ?? -1)
watch(position, () => {
  ticked.value = []
  typedC.value = null
  teeth.value = ''
  askTicks.value = false
  sure.value = false
  saying.value = null
  stop()
})
/** It rings, shakes, stands in the title, and where this page is not in sight it is told beside what is. */
function timeIsUp(): void {
  ring()
  if (document.hidden)
    void notify({ tag: `job-${props.job.id}`, title: t('job.time_up'), text: words.value?.title ?? '', url: location.pathname })
}
// Once when a timer runs out; not for one that had run out before the page was opened.
watch(left, (now, before) => {
  if (now !== null && before !== null && before !== undefined && before > 0 && now <= 0) timeIsUp()
})

// Too hot: rings until somebody has seen it.
watch(
  () => state.bath?.over ?? null,
  (now, before) => now && !before && timeIsUp(),
)

const words = computed(() => {
  const now = step.value
  return now && now.again && (state.current?.round ?? 1) > 1 ? now.again : now
})
const COMING = 6
const coming = computed(() => state.ahead.slice(0, COMING).flatMap((next) => props.job.steps[next] ?? []))
const nextTitle = computed(() => coming.value[0]?.title ?? null)
const seconds = computed(() => state.current?.seconds ?? null)
const clock = computed(() => (left.value === null ? '' : `${timerDigits(Math.max(0, left.value))} `))
const mayAct = computed(() => here.value.mayWrite && state.begun && state.current !== null && !state.ended)

// The server knows how it stood before; what is recorded by now is put right in the record.
const mayGoBack = computed(() => mayAct.value && state.turns.length > 1 && !state.recorded && !away.value && waiting.value === 0)

function done(): void {
  if (!mayAct.value || !step.value) return
  if (solid.value) return
  if (early.value && (!step.value.sign || state.current?.signed)) return
  if (!melted.value && step.value.ticks.some((tick) => !ticked.value.includes(tick.key))) {
    askTicks.value = true
    return
  }
  // The sign ends the step once its time is up; before, it is only seen.
  tap(step.value.sign && !state.current?.signed ? 'sign' : 'done', ticked.value)
}
// What was typed here counts before the server has it.
const typedC = ref<number | null>(null)
const teeth = ref('')
watch(teeth, (seen) => seen && tap('note', [], { teeth: seen }))
function typed(celsius: string): void {
  typedC.value = Number(celsius)
  tap('note', [], { celsius })
}
const melted = computed(() => {
  const range = step.value?.readingC
  if (!range) return false
  return typedC.value === null || waiting.value === 0 ? (state.bath?.melted ?? false) : typedC.value >= range[0] && typedC.value <= range[1]
})
/** Why nothing goes into the bath yet: it is still solid. */
const solid = computed(() => {
  const bath = state.bath
  if (!step.value?.liquid || !bath?.solid || (typedC.value !== null && waiting.value > 0)) return null
  return bath.solidUntil !== null && nowS.value >= bath.solidUntil ? null : bath.solid
})
const early = computed(() => (step.value?.holds ?? false) && (left.value ?? 0) > 0)
const mainText = computed(() => {
  if (!step.value) return ''
  if (step.value.question) return step.value.question.yes
  if (step.value.sign && !state.current?.signed) return step.value.sign
  if (step.value.holds) return t('job.lift')
  return (left.value ?? 0) > 0 ? t('job.early', { left: timerDigits(left.value ?? 0) }) : t('job.done')
})
const saying = ref<'note' | 'skip' | null>(null)
const say = (what: 'note' | 'skip') => () => {
  if (mayAct.value && (what === 'note' || step.value?.skippable)) saying.value = saying.value === what ? null : what
}
function said(text: string, waxed: string): void {
  const what = saying.value
  saying.value = null
  if (what) tap(what, [], waxed ? { text, waxed } : { text })
}
const weighs = computed(() => {
  const when: Record<string, 'before_g' | 'after_g'> = { weigh_before: 'before_g', weigh_after: 'after_g' }
  return when[step.value?.code ?? ''] ?? null
})
const again = () => mayAct.value && step.value?.question && tap('again')
const pause = () => mayAct.value && seconds.value !== null && tap(state.current?.paused ? 'resume' : 'pause')
const longer = () => mayAct.value && seconds.value !== null && tap('longer')
const sure = ref(false)
function giveUp(): void {
  if (!sure.value) {
    sure.value = true
    return
  }
  write('post', `/jobs/${props.job.id}/give-up`, {}, { preserveState: false })
}
const begin = () => write('post', `/jobs/${props.job.id}/begin`, {}, { preserveState: false })
useKeys({
  p: pause,
  '+': longer,
  c: again,
  n: say('note'),
  k: say('skip'),
  u: () => mayGoBack.value && tap('back'),
  S: () => router.visit('/'),
})
// The space bar goes on from wherever the focus is, unless it ticks a box or presses another button.
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  const on = event.target as HTMLElement
  if (event.key !== ' ' || on.closest('button:not([data-test="job-done"]), a, input, .v-overlay--active')) return
  event.preventDefault()
  if (!event.repeat) done()
})
</script>

<template>
  <Head :title="`${clock}${words?.title ?? job.title}`" />
  <v-app>
    <JobBar v-model:bell="bellOn" :job="job" :state="state" :may-go-back="mayGoBack" @back="tap('back')" />
    <p v-if="away" class="note" role="alert" data-test="away">{{ t('job.away') }}</p>
    <p v-else-if="moved" class="note" role="status">{{ t('job.moved') }}</p>
    <p v-if="waiting && away" class="note" role="status" data-test="waiting">{{ t('job.kept') }}: {{ waiting }}</p>
    <p v-if="problem" class="note ember" role="alert">{{ problem }}</p>
    <main id="content">
      <div v-if="!state.begun && !state.ended" class="over page" data-test="job-planned">
        <h1>{{ job.title }}</h1>
        <p>{{ job.planned }}</p>
        <div v-if="here.mayWrite" class="row">
          <PushButton main data-test="begin" @click="begin">{{ t('job.begin') }}</PushButton>
          <PushButton data-test="give-up" @click="giveUp">{{ sure ? t('job.sure') : t('job.drop') }}</PushButton>
        </div>
        <TimeLanes v-if="state.axis" :axis="state.axis" class="planned" />
      </div>
      <div v-else-if="state.current && step && words" class="running">
        <section class="step" aria-live="polite" :data-test="`step-${step.code}`" :data-position="state.current.position">
          <p class="subject muted">{{ step.subject }}</p>
          <h1>{{ words.title }}</h1>
          <StepTimer v-if="left !== null && seconds !== null" :left="left" :seconds="seconds" :paused="state.current.paused" />
          <p class="text">{{ words.text }}</p>
          <StepDrawing v-if="step.drawing" :what="step.drawing" />
          <p v-if="state.recorded && !state.recorded.undone" class="strong" data-test="recorded">{{ state.recorded.text }}</p>
          <StepTicks v-if="step.ticks.length" v-model="ticked" :ticks="step.ticks" :title="words.title" :asked="askTicks" />
          <template v-if="(step.readingC || solid) && mayAct">
            <p v-if="solid" class="strong" role="status" data-test="solid">{{ solid }}</p>
            <p v-else-if="melted" class="strong" role="status" data-test="melted">{{ t('job.melted') }}</p>
            <p v-else class="small muted">{{ step.reading }}</p>
            <BathField :unit="job.units.temperature" @typed="typed" />
          </template>
          <WeighFields
            v-if="weighs && mayAct"
            :chains="step.chains"
            :when="weighs"
            :unit="job.units.mass"
            @weighed="(chain, mass) => weighs && tap('note', [], { chain, [weighs]: mass })" />
          <TapChoice
            v-if="step.drawing === 'teeth' && mayAct"
            v-model="teeth"
            :legend="t('teeth.legend')"
            :options="teethSeen()"
            test="teeth" />
          <MlField v-if="step.code === 'how_much' && mayAct" @typed="(ml) => tap('note', [], { ml })" />
          <StepActs
            v-if="mayAct"
            :step="step"
            :now="state.current"
            :early="early"
            :blocked="solid !== null"
            :main="mainText"
            :saying="saying"
            :notes="['pot_day', 'fit', 'care'].includes(job.kind)"
            @done="done"
            @again="again"
            @longer="longer"
            @pause="pause"
            @say="say($event)()" />
          <SayPanel v-if="saying" :key="saying" :what="saying" :asks="step.asks" @said="said" />
          <p v-if="state.current.signed && early" class="strong" role="status" data-test="signed">{{ t('job.seen') }}</p>
          <p class="then muted">
            <span v-if="nextTitle">{{ t('job.next') }}: {{ nextTitle }}</span>
            <Link v-if="step.leavable" href="/" data-test="leave">{{ t('job.leave') }}</Link>
          </p>
          <p class="small muted silent">
            <template v-if="locked && bellOn">{{ t('job.bell_tap') }}. </template
            >{{ t(seconds === null ? 'job.silent_untimed' : 'job.silent') }}
            <template v-if="wake.isActive.value">{{ t('job.awake') }}</template>
          </p>
        </section>
        <ul class="cautions">
          <li v-for="caution in step.cautions" :key="caution">{{ caution }}</li>
        </ul>
        <div class="side">
          <section v-if="state.current.position === 0 && job.layout.length" aria-labelledby="layout" class="layout" data-test="layout">
            <h2 id="layout">{{ t('job.layout') }}</h2>
            <ul>
              <li v-for="item in job.layout" :key="item">{{ item }}</li>
            </ul>
          </section>
          <ResidueBars v-if="state.residues" :residues="state.residues" />
          <BathPanel
            v-if="state.bath"
            :job="job"
            :bath="state.bath"
            :may-act="mayAct"
            :asked="step.readingC !== null || solid !== null"
            @typed="typed" />
          <ul v-if="state.notes.length" class="notes">
            <li v-for="note in state.notes.slice(0, 3)" :key="note">{{ note }}</li>
          </ul>
          <template v-if="coming.length && !state.bath">
            <h2 id="ahead">{{ t('job.ahead') }}</h2>
            <ol class="coming" aria-labelledby="ahead">
              <li v-for="(other, i) in coming" :key="i">
                <span>{{ other.title }}</span><span class="muted">{{ other.time }}</span>
              </li>
            </ol>
          </template>
        </div>
      </div>
      <PotDayOver v-else-if="job.kind === 'pot_day'" :job="job" :state="state" />
      <JobOver v-else :job="job" :state="state" />
      <template v-if="state.current && step && state.begun">
        <TimeLanes v-if="state.axis" :axis="state.axis" />
        <JobLanes v-else-if="job.stretches" :job="job" :state="state" />
        <p v-if="mayAct" class="end">
          <button type="button" class="as-link quiet" data-test="give-up" @click="giveUp">
            {{ sure ? t('job.sure') : t('job.give_up') }}
          </button>
        </p>
      </template>
    </main>
  </v-app>
</template>

<style scoped>
.note {
  margin: 0;
  padding: 8px 24px;
  background: var(--paper);
  border-bottom: 1px solid var(--line);
  font-weight: 560;
}
main {
  flex: 1;
  display: grid;
  grid-template-rows: 1fr;
  grid-auto-rows: auto;
}
.running {
  display: grid;
  grid-template:
    'step side' 1fr
    'cautions cautions' auto / minmax(0, 1fr) 400px;
}
.strong {
  font-weight: 680;
  margin: 0;
}
.coming {
  list-style: none;
  padding: 0;
  margin: 8px 0 0;
}
.coming li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
h2#ahead {
  margin-top: 26px;
}
.step {
  grid-area: step;
  padding: 24px;
  max-width: 860px;
}
.subject {
  margin: 0 0 4px;
  font-weight: 560;
  min-height: 19px;
}
h1 {
  font-size: clamp(2.125rem, 5vw, 3.625rem);
  letter-spacing: -1px;
  line-height: 1.05;
}
.text {
  font-size: var(--type-5);
  line-height: 1.4;
  max-width: 660px;
  margin: 16px 0;
}
.notes {
  list-style: none;
  padding: 0;
  margin: 12px 0 0;
  font-size: var(--type-2);
}
.then {
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  font-size: var(--type-4);
}
.silent {
  margin: 10px 0 0;
  max-width: 560px;
}
.side {
  grid-area: side;
  background: var(--paper);
  border-left: 1.5px solid var(--ink);
  padding: 24px;
}
.cautions {
  grid-area: cautions;
  list-style: none;
  margin: 0;
  padding: 9px 24px;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 26px;
  background: var(--ink);
  color: var(--paper);
  font-weight: 620;
  min-height: 40px;
  align-items: center;
}
.layout ul {
  list-style: none;
  padding: 0;
  margin: 4px 0 22px;
  columns: 2;
  column-gap: 18px;
  font-size: var(--type-2);
}
.layout li {
  break-inside: avoid;
  padding: 3px 0;
}
.end {
  margin: 0;
  padding: 0 24px 14px;
  text-align: right;
}
.over {
  max-width: 720px;
  margin-inline: auto;
}
.planned {
  margin: 0 -24px;
}
.over p {
  font-size: var(--type-4);
  margin: 12px 0 0;
}
.over .row {
  margin: 20px 0 28px;
  gap: 16px;
}
@media (max-width: 52.49em) {
  .running {
    grid-template: 'step' auto 'cautions' auto 'side' auto / minmax(0, 1fr);
    align-content: start;
  }
  /* The first screen holds the step, its keys within reach of a thumb, and what is to be minded. */
  .step {
    padding: 14px 14px 10px;
    min-height: calc(100svh - 158px);
    display: flex;
    flex-direction: column;
  }
  .side {
    border-left: 0;
    border-top: 1px solid var(--line);
    padding: 14px;
  }
  .note,
  .cautions {
    padding-inline: 14px;
  }
  .end {
    padding: 0 14px 14px;
  }
}
</style>
