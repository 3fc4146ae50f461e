<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { computed, nextTick } from 'vue'
import DateField from '@/components/forms/DateField.vue'
import HookTag from '@/components/chain/HookTag.vue'
import NumberField from '@/components/forms/NumberField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import AppShell from '@/components/layout/AppShell.vue'
import TextField from '@/components/forms/TextField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { choicesOf, t } from '@/composables/useText'
import type { ArrivePage } from '@/types/server'

const props = defineProps<ArrivePage>()
const here = useHere()

interface ArrivingChain {
  [field: string]: string | boolean
  label: string
  state: string
  km: string
  since_wax: string
  wear: string
  pitches: string
  closings: string
  closings_allowed: string
  fitted: boolean
}
const chain = (label: string, fitted = false): ArrivingChain => ({
  label,
  state: 'waxed',
  km: '',
  since_wax: '',
  wear: '',
  pitches: '',
  closings: '',
  closings_allowed: '',
  fitted,
})
function letterAfter(taken: string[]): string {
  const used = taken.map((letter) => letter.toUpperCase())
  return [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].find((letter) => !used.includes(letter)) ?? ''
}
const { form, submit } = useActionForm({
  bike_id: props.bike?.id ?? null,
  name: '',
  kind: 'road',
  speeds: '12',
  interval: props.interval,
  date: props.forms.date,
  chains: props.bike ? [chain(letterAfter(props.bike.letters), props.bike.free)] : [chain('A', true), chain('B')],
  cassette: props.bike ? null : { km: '' },
  ring: props.bike ? null : { km: '' },
})
const states = choicesOf(['waxed', 'unsure', 'none', 'new'], (value) => `arrive.${value}`)
const errors = computed(() => form.errors as Record<string, string | undefined>)
const errorOf = (index: number, field: string) =>
  errors.value[`chains.${index}.${field}`] ?? errors.value[`bikes.0.parts.${index}.${field}`]
const others = computed(() =>
  Object.entries(errors.value).filter(
    ([field]) =>
      !['name', 'speeds', 'interval', 'date'].includes(field) &&
      !/^(chains\.|bikes\.0\.parts\.)\d+\.(label|km|since_wax|wear|pitches|closings|fitted)$/.test(field),
  ),
)
type Figure = 'km' | 'since_wax' | 'wear' | 'closings' | 'closings_allowed' | 'pitches'
/** What may be known of a chain; only a waxed one has a distance since its dip, and that must be known. */
type FigureText = 'km' | 'since' | 'wear' | 'closings' | 'allowed' | 'pitches'
const figures = (state: string): { field: Figure; name: FigureText; suffix?: string; whole?: boolean; needed?: boolean }[] => [
  { field: 'km', name: 'km', suffix: here.value.distanceUnit },
  ...(state === 'waxed' ? [{ field: 'since_wax' as const, name: 'since' as const, suffix: here.value.distanceUnit, needed: true }] : []),
  { field: 'wear', name: 'wear', suffix: '%' },
  { field: 'closings', name: 'closings', whole: true },
  { field: 'closings_allowed', name: 'allowed', whole: true },
  { field: 'pitches', name: 'pitches', whole: true },
]
const next = () => letterAfter([...(props.bike?.letters ?? []), ...form.chains.map((one) => one.label)])
async function add(): Promise<void> {
  form.chains.push(chain(next()))
  await nextTick()
  document.querySelector<HTMLElement>(`[name="km-${form.chains.length - 1}"]`)?.focus()
}
const drop = (index: number) => form.chains.splice(index, 1)
function fit(index: number): void {
  form.chains.forEach((other, i) => (other.fitted = i === index ? !other.fitted : false))
}
const save = () => submit('post', '/arrive')
</script>

<template>
  <AppShell :title="t('arrive.title')" at="shed">
    <form class="page narrow" novalidate data-test="arrive-form" @submit.prevent="save">
      <h1>{{ bike ? t('arrive.onto', { bike: bike.name }) : t('arrive.title') }}</h1>
      <p class="lead muted">
        {{ t('arrive.text') }} <Link href="/arrive/table" data-test="to-table">{{ t('arrive.many') }}</Link>
      </p>
      <section class="sheet fields" :aria-label="t('ride.bike')">
        <div v-if="!bike" class="bike">
          <TextField
            v-model="form.name"
            :label="t('bike.name')"
            :error-messages="errors.name ?? errors['bikes.0.name']"
            name="name"
            autofocus />
          <v-select v-model="form.kind" :items="kinds" :label="t('bike.kind')" :error-messages="errors.kind" />
          <NumberField v-model="form.speeds" whole :label="t('bike.speeds')" :error-messages="errors.speeds" name="speeds" />
          <NumberField
            v-model="form.interval"
            :label="t('bike.interval')"
            :unit="here.distanceUnit"
            :error-messages="errors.interval"
            name="interval" />
        </div>
        <DateField
          v-model="form.date"
          :label="t('arrive.as_of')"
          :hint="t('arrive.as_of_hint')"
          :error-messages="errors.date"
          name="date"
          class="date" />
      </section>
      <section
        v-for="(one, i) in form.chains"
        :key="i"
        class="sheet fields chain"
        :aria-label="`${t('arrive.chain')} ${one.label}`"
        :data-test="`arriving-${i}`">
        <div class="row top">
          <HookTag :label="one.label || '?'" :ready="false" />
          <TextField
            v-model="one.label"
            :label="t('arrive.letter')"
            :error-messages="errorOf(i, 'label')"
            :name="`label-${i}`"
            class="letter" />
          <button
            type="button"
            class="place"
            :class="{ on: one.fitted }"
            :aria-pressed="one.fitted"
            :data-test="`fitted-${i}`"
            @click="fit(i)">
            {{ one.fitted ? t('arrive.on_bike') : t('arrive.on_hook') }}
          </button>
          <span class="grow" />
          <button
            v-if="form.chains.length > 1"
            type="button"
            class="drop"
            :aria-label="`${t('arrive.drop')} ${one.label}`"
            @click="drop(i)">
            {{ t('arrive.drop') }}
          </button>
        </div>
        <p v-if="errorOf(i, 'fitted')" class="ember" role="alert">{{ errorOf(i, 'fitted') }}</p>
        <TapChoice v-model="one.state" :legend="t('arrive.it_is')" :options="states" :test="`state-${i}`" />
        <div v-if="one.state !== 'new'" class="figures">
          <NumberField
            v-for="figure in figures(one.state)"
            :key="figure.field"
            v-model="one[figure.field]"
            :whole="figure.whole"
            :label="t(`arrive.${figure.name}`)"
            :unit="figure.suffix"
            :placeholder="figure.needed ? undefined : t('arrive.unknown')"
            :error-messages="errorOf(i, figure.field)"
            :name="`${figure.name}-${i}`" />
        </div>
        <p v-else class="muted small">{{ t('new_chain.boxed_hint') }}</p>
      </section>
      <div class="row">
        <PushButton data-test="another-chain" @click="add">{{ t('arrive.another') }}</PushButton>
      </div>
      <section v-if="form.cassette && form.ring" class="sheet parts" :aria-label="t('arrive.parts')">
        <NumberField
          v-model="form.cassette.km"
          :label="`${t('parts.cassette')} ${t('arrive.so_far')}`"
          :unit="here.distanceUnit"
          :placeholder="t('arrive.unknown')"
          :error-messages="errors['cassette.km']"
          name="cassette" />
        <NumberField
          v-model="form.ring.km"
          :label="`${t('parts.ring')} ${t('arrive.so_far')}`"
          :unit="here.distanceUnit"
          :placeholder="t('arrive.unknown')"
          :error-messages="errors['ring.km']"
          name="ring" />
      </section>
      <p class="muted small">{{ t('arrive.empty_is_unknown') }}</p>
      <p v-for="[field, message] in others" :key="field" class="ember" role="alert">{{ message }}</p>
      <div class="row foot at-hand">
        <PushButton type="submit" main :loading="form.processing" data-test="submit">{{ t('arrive.do') }}</PushButton>
        <Link href="/">{{ t('verbs.cancel') }}</Link>
      </div>
    </form>
  </AppShell>
</template>

<style scoped>
.narrow {
  margin-inline: auto;
  max-width: 860px;
  display: grid;
  gap: 14px;
}
p {
  margin: 0;
}
.bike {
  display: grid;
  grid-template-columns: 1.6fr 1fr 0.7fr 1fr;
  gap: 10px;
  align-items: start;
}
.date {
  max-width: 330px;
}
.figures {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 10px;
}
.parts {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.top {
  gap: 12px;
}
.letter {
  max-width: 130px;
  min-width: 92px;
}
.grow {
  flex: 1;
}
.place,
.drop {
  font: inherit;
  font-weight: 620;
  font-size: var(--type-2);
  border: 1.2px solid var(--ink);
  border-radius: 3px;
  background: var(--paper);
  color: var(--ink);
  min-height: 40px;
  padding: 0 12px;
  cursor: pointer;
}
.place.on {
  background: var(--ink);
  color: var(--paper);
}
.drop {
  border: 0;
  background: none;
  color: var(--steel);
  text-decoration: underline;
  text-underline-offset: 3px;
}
.foot {
  gap: 16px;
}
@media (max-width: 52.49em) {
  .bike,
  .figures,
  .parts {
    grid-template-columns: 1fr 1fr;
  }
  .sheet {
    padding: 14px 12px;
  }
  .place,
  .drop {
    min-height: 44px;
  }
}
</style>
