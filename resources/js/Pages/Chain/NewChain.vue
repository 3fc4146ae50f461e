<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { computed, ref, watch } from 'vue'
import ChainFacts from '@/components/chain/ChainFacts.vue'
import PushButton from '@/components/layout/PushButton.vue'
import SizeChain from '@/components/chain/SizeChain.vue'
import DayAndTime from '@/components/forms/DayAndTime.vue'
import NumberField from '@/components/forms/NumberField.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import TickBox from '@/components/forms/TickBox.vue'
import AppShell from '@/components/layout/AppShell.vue'
import FlowSteps from '@/components/strip/FlowSteps.vue'
import TextField from '@/components/forms/TextField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { choicesOf, t } from '@/composables/useText'
import type { NewChainPage } from '@/types/server'

const props = defineProps<NewChainPage>()
const kinds = ['boxed', 'factory_waxed', 'bare', 'waxed'] as const
const { form, submit } = useActionForm({
  bike_id: props.bike,
  label: '',
  speeds: '12',
  pitches: '',
  state: 'boxed' as (typeof kinds)[number],
  half_link: false,
  load: null as string | null,
  joint: 'quick_link',
  directional: false,
  mass: '',
  price: '',
  bought_on: '',
  drip_interval: '',
  event: '',
  event_on: '',
  dipped_after: '',
  strip_next: false,
  date: props.forms.date,
  time: props.forms.time,
  fit: false,
})
const chosen = computed(() => props.defaults.find((other) => other.bike === form.bike_id))
// Another bike, other defaults; what a refused form was sent with stays.
watch(
  () => form.bike_id,
  () =>
    chosen.value &&
    Object.assign(form, {
      label: chosen.value.label,
      speeds: String(chosen.value.speeds),
      pitches: String(chosen.value.pitches ?? ''),
      fit: chosen.value.canFit,
    }),
  { immediate: true },
)
const states = choicesOf(kinds, (value) => `new_chain.${value}`)
const sizing = ref(false)
function useSize(pitches: number, joint: string): void {
  form.pitches = String(pitches)
  form.joint = joint
  sizing.value = false
}
const known = ref(false)
const rideable = computed(() => form.state === 'waxed' || form.state === 'factory_waxed')
const single = computed(() => Number(form.speeds) === 1)
function save(strip: boolean): void {
  form.strip_next = strip
  // Nothing greased or bare goes onto a bike by the way.
  form.fit = form.fit && rideable.value
  submit('post', '/chains')
}
</script>

<template>
  <AppShell :title="t('new_chain.title')" at="shed">
    <form v-if="bike !== null" class="page narrow fields" novalidate @submit.prevent="save(form.state === 'boxed')">
      <FlowSteps :at="sizing ? 'size' : 'choose'" />
      <h1>{{ t('new_chain.title') }}</h1>
      <p>
        <Link :href="`/arrive?bike=${form.bike_id}`" data-test="used-chain">{{ t('new_chain.used') }}</Link>
      </p>
      <v-select
        v-model="form.bike_id"
        :items="forms.bikes"
        item-value="id"
        item-title="name"
        :label="t('new_chain.rail')"
        :error-messages="form.errors.bike_id" />
      <div class="two">
        <TextField v-model="form.label" :label="t('new_chain.label')" :error-messages="form.errors.label" name="label" />
        <NumberField v-model="form.speeds" whole :label="t('new_chain.speeds')" :error-messages="form.errors.speeds" name="speeds" />
      </div>
      <NumberField
        v-model="form.pitches"
        whole
        :label="t('new_chain.pitches')"
        :hint="t('new_chain.pitches_hint')"
        persistent-hint
        :error-messages="form.errors.pitches"
        name="pitches" />
      <TickBox v-if="single" v-model="form.half_link" :label="t('new_chain.half_link')" data-test="half-link" />
      <button type="button" class="as-link" :aria-expanded="sizing" data-test="open-size" @click="sizing = !sizing">
        {{ t('size.title') }}
      </button>
      <SizeChain v-if="sizing" :key="form.bike_id ?? 0" :old-pitches="chosen?.pitches ?? null" :single-speed="single" @use="useSize" />
      <button type="button" class="as-link" :aria-expanded="known" data-test="open-known" @click="known = !known">
        {{ t('new_chain.known') }}
      </button>
      <ChainFacts v-if="known" v-model="form" :errors="form.errors" :units="units" />
      <div>
        <TapChoice v-model="form.state" :legend="t('new_chain.state')" :options="states" test="state" />
        <p class="muted small">{{ t(`new_chain.${form.state}_hint`) }}</p>
      </div>
      <DayAndTime v-if="form.state !== 'boxed'" v-model:date="form.date" v-model:time="form.time" :errors="form.errors" />
      <TickBox v-if="chosen?.canFit && rideable" v-model="form.fit" :label="t('new_chain.fit')" />
      <p v-if="form.errors.action_id" class="ember" role="alert">{{ form.errors.action_id }}</p>
      <div class="row at-hand">
        <PushButton type="submit" main :loading="form.processing" data-test="submit">{{
          t(form.state === 'boxed' ? 'new_chain.strip' : 'new_chain.title')
        }}</PushButton>
        <PushButton v-if="form.state === 'boxed'" data-test="only-add" @click="save(false)">{{ t('new_chain.title') }}</PushButton>
        <Link href="/">{{ t('verbs.cancel') }}</Link>
      </div>
    </form>
    <div v-else class="page">
      <h1>{{ t('new_chain.title') }}</h1>
      <p>
        {{ t('new_chain.no_bike') }} <Link href="/bikes/new">{{ t('bike.new') }}</Link>
      </p>
    </div>
  </AppShell>
</template>

<style scoped>
.narrow {
  margin-inline: auto;
  max-width: 560px;
  width: 100%;
}
p {
  margin: 6px 0 0;
}
</style>
