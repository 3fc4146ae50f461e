<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { computed } from 'vue'
import NumberField from '@/components/forms/NumberField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import TickBox from '@/components/forms/TickBox.vue'
import AppShell from '@/components/layout/AppShell.vue'
import TextField from '@/components/forms/TextField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { choicesOf, t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { ProtocolPage } from '@/types/server'

type Move = { kind: string; minutes: string }
type Step = {
  kind: string
  solvent: string
  volume_ml: string
  water_parts: string
  moves: Move[]
  until_clear: boolean
  minutes: string
}
interface Kept {
  kind: string
  solvent?: string
  volume_ml?: number
  water_parts?: number
  moves?: { kind: string; seconds: number }[]
  until_clear?: boolean
  seconds?: number
}
const props = defineProps<ProtocolPage>()
const SECONDS = 60
const TIMED = ['hang', 'dry', 'blow_dry']
const minutes = (seconds: number | undefined): string => (seconds === undefined ? '' : String(Number((seconds / SECONDS).toFixed(2))))
const seconds = (text: string): number => Math.round(Number(text.replace(',', '.')) * SECONDS) || 0
const isBath = (kind: string) => props.bathKinds.some((one) => one === kind)
const { form, submit } = useActionForm<{ name: string; drip_only: boolean; steps: Step[] }>({
  name: props.own === null ? '' : props.name,
  drip_only: props.dripOnly,
  steps: props.steps.map((step) => ({
    kind: step.kind,
    solvent: step.solvent ?? 'white_spirit',
    volume_ml: step.volume_ml === undefined ? '200' : String(step.volume_ml),
    water_parts: step.water_parts === undefined ? '' : String(step.water_parts),
    moves: (step.moves ?? [{ kind: 'shake', seconds: 60 }]).map((move) => ({ kind: move.kind, minutes: minutes(move.seconds) })),
    until_clear: step.until_clear ?? false,
    minutes: minutes(step.seconds ?? 600),
  })),
})
const errors = computed(() => form.errors as Record<string, string | undefined>)
const stepErrors = (i: number) =>
  Object.entries(errors.value).filter(([field]) => field === `steps.${i}` || field.startsWith(`steps.${i}.`))
const others = computed(() => Object.entries(errors.value).filter(([field]) => field !== 'name' && !/^steps\.\d/.test(field)))
const kinds = computed(() => choicesOf(props.kinds, (value) => `protocol.kinds.${value}`))
const moves = computed(() => choicesOf(props.moveKinds, (value) => `protocol.move.${value}`))

/** As the core takes a step: only what it has. */
function kept(step: Step): Kept {
  if (!isBath(step.kind)) return TIMED.includes(step.kind) ? { kind: step.kind, seconds: seconds(step.minutes) } : { kind: step.kind }
  return {
    kind: step.kind,
    solvent: step.solvent,
    volume_ml: Number(step.volume_ml.replace(',', '.')) || 0,
    moves: step.moves.map((move) => ({ kind: move.kind, seconds: seconds(move.minutes) })),
    until_clear: step.until_clear,
    ...(step.solvent === 'degreaser' && step.water_parts ? { water_parts: Number(step.water_parts.replace(',', '.')) || 0 } : {}),
  }
}
function add(): void {
  form.steps.splice(form.steps.length - 1, 0, {
    kind: 'bath',
    solvent: 'white_spirit',
    volume_ml: '200',
    water_parts: '',
    moves: [{ kind: 'shake', minutes: '2' }],
    until_clear: false,
    minutes: '10',
  })
}
function up(i: number): void {
  const [step] = form.steps.splice(i, 1)
  if (step) form.steps.splice(i - 1, 0, step)
}
function save(): void {
  form.transform((data) => ({ ...data, steps: data.steps.map(kept) }))
  submit(props.own === null ? 'post' : 'put', props.own === null ? '/protocols' : `/protocols/${props.own}`)
}
const drop = () => write('delete', `/protocols/${props.own}`)
</script>

<template>
  <AppShell :title="t('protocol.copy')" at="pot">
    <form class="page fields" novalidate @submit.prevent="save">
      <h1>{{ own === null ? t('protocol.copy') : t('protocol.change') }}</h1>
      <p class="muted">
        <template v-if="own === null">{{ t('protocol.from', { name }) }}. </template>{{ t('protocol.text') }}
      </p>
      <div class="head">
        <TextField v-model="form.name" :label="t('protocol.name')" :error-messages="form.errors.name" name="name" />
        <TickBox v-model="form.drip_only" :label="t('protocol.drip_only')" />
      </div>
      <ol>
        <li v-for="(step, i) in form.steps" :key="i" :data-test="`step-${i + 1}`">
          <div class="line">
            <b class="n">{{ i + 1 }}</b>
            <v-select v-model="step.kind" :items="kinds" :label="`${t('protocol.kind')} ${i + 1}`" density="compact" class="kind" />
            <template v-if="isBath(step.kind)">
              <v-select v-model="step.solvent" :items="solvents" :label="t('protocol.solvent')" density="compact" class="solvent" />
              <NumberField
                v-model="step.volume_ml"
                :label="t('protocol.volume')"
                density="compact"
                class="short"
                :name="`volume-${i + 1}`" />
              <NumberField
                v-if="step.solvent === 'degreaser'"
                v-model="step.water_parts"
                :label="t('protocol.water_parts')"
                density="compact"
                class="short"
                :name="`water-${i + 1}`" />
              <TickBox v-model="step.until_clear" :label="t('protocol.until_clear')" />
            </template>
            <NumberField
              v-else-if="TIMED.includes(step.kind)"
              v-model="step.minutes"
              :label="t('protocol.minutes')"
              density="compact"
              class="short" />
            <span class="grow" />
            <button v-if="i > 0" type="button" class="as-link quiet" :aria-label="`${t('protocol.up')} ${i + 1}`" @click="up(i)">
              {{ t('protocol.up') }}
            </button>
            <button type="button" class="as-link quiet" :aria-label="`${t('protocol.remove')} ${i + 1}`" @click="form.steps.splice(i, 1)">
              {{ t('protocol.remove') }}
            </button>
          </div>
          <div v-if="isBath(step.kind)" class="line moves">
            <template v-for="(move, m) in step.moves" :key="m">
              <v-select v-model="move.kind" :items="moves" :label="t('protocol.moves')" density="compact" class="move" />
              <NumberField
                v-model="move.minutes"
                :label="t('protocol.minutes')"
                density="compact"
                class="short"
                :name="`minutes-${i + 1}-${m + 1}`" />
              <button
                v-if="step.moves.length > 1"
                type="button"
                class="as-link quiet"
                :aria-label="`${t('protocol.remove')} ${i + 1}.${m + 1}`"
                @click="step.moves.splice(m, 1)">
                {{ t('protocol.remove') }}
              </button>
            </template>
            <button type="button" class="as-link quiet" @click="step.moves.push({ kind: 'rest', minutes: '10' })">
              {{ t('protocol.add_move') }} …
            </button>
          </div>
          <p v-for="[field, message] in stepErrors(i)" :key="field" class="ember" role="alert">{{ message }}</p>
        </li>
      </ol>
      <p v-for="[field, message] in others" :key="field" class="ember" role="alert">{{ message }}</p>
      <div class="row at-hand">
        <PushButton type="submit" main :loading="form.processing" data-test="submit">{{ t('protocol.save') }}</PushButton>
        <PushButton data-test="add-step" @click="add">{{ t('protocol.add_step') }}</PushButton>
        <PushButton v-if="own !== null" data-test="drop" @click="drop">{{ t('protocol.drop') }}</PushButton>
        <Link href="/strip">{{ t('verbs.cancel') }}</Link>
      </div>
    </form>
  </AppShell>
</template>

<style scoped>
ol {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  border-bottom: 1px solid var(--line);
  padding: 12px 0;
  display: grid;
  gap: 10px;
}
p {
  margin: 0;
}
.head {
  display: grid;
  grid-template-columns: minmax(0, 360px) 1fr;
  gap: 20px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.moves {
  padding-left: 34px;
}
.n {
  width: 24px;
  font-size: var(--type-5);
}
.kind,
.solvent {
  flex: 0 1 210px;
}
.move {
  flex: 0 1 140px;
}
.short {
  flex: 0 0 96px;
}
.grow {
  flex: 1;
}
@media (max-width: 52.49em) {
  .head {
    grid-template-columns: 1fr;
  }
  .moves {
    padding-left: 0;
  }
}
</style>
