<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import NumberField from '@/components/forms/NumberField.vue'
import TickBox from '@/components/forms/TickBox.vue'
import MeasureFields from '@/components/wear/MeasureFields.vue'
import HookTag from '@/components/chain/HookTag.vue'
import ActionDialog from './ActionDialog.vue'
import DayAndTime from './DayAndTime.vue'
import TapChoice from './TapChoice.vue'
import TextField from '@/components/forms/TextField.vue'
import { formsNow } from '@/composables/nowHere'
import { useActionForm } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { useMeasuring } from '@/composables/useMeasuring'
import { t } from '@/composables/useText'
import { swapUnsent } from '@/offline/entries'
import type { FormDefaults, Meaning, RailView, SpareLink } from '@/types/server'

/** Which chain goes on, and when. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{
  forms: FormDefaults
  rail: RailView
  spares: SpareLink[]
  date?: string | null
  time?: string | null
  wanted?: number | null
}>()
const emit = defineEmits<{ retire: [chain: { id: number; name: string }] }>()
const here = useHere()
const choices = computed(() =>
  props.rail.hanging.concat(props.rail.fitted && (props.date || swapUnsent(props.rail.id)) ? [props.rail.fitted] : []),
)
const now = formsNow(props.forms)
const { form, submit } = useActionForm<{
  chain_id: number | null
  date: string
  time: string
  note: string
  new_link: boolean
  link_id: number | null
  closings_allowed: string
  opening_holds: string
}>(
  {
    note: '',
    new_link: false,
    link_id: null,
    closings_allowed: '',
    opening_holds: '',
    chain_id: props.wanted ?? props.rail.best ?? choices.value[0]?.id ?? null,
    date: props.date ?? now.date,
    time: props.time ?? now.time,
  },
  'swap',
)
// A chain that comes off is measured before it goes into the pot; one that is due is asked for.
const off = computed(() => (props.date ? null : props.rail.fitted))
const measuring = ref(off.value?.wear.due ?? false)
// Asked for, not demanded: with nothing read it is only swapped.
const { reading, choose, payload } = useMeasuring(props.forms.instruments)
const meaning = ref<Meaning | null>(null)
form.transform((data) => ({ ...data, ...(measuring.value && off.value && payload().spots.length ? { reading: payload() } : {}) }))
const readingErrors = computed(() =>
  Object.fromEntries(
    Object.entries(form.errors as Record<string, string | undefined>).map(([field, text]) => [field.replace(/^reading\./, ''), text]),
  ),
)
const beside = computed(() => Object.fromEntries(Object.entries(form.errors).filter(([field]) => !field.startsWith('reading.'))))
const chosen = computed(() => choices.value.find((chain) => chain.id === form.chain_id))

const says = (...notes: string[]) => (chosen.value?.fit ?? []).some((note) => notes.includes(note.note))
const asksNote = computed(() => here.value.role === 'owner' && says('wrong_speed'))
// Asked once the server found rides between the fitting and what the chain came with.
const asksOpening = ref(false)
watch(
  () => form.errors.opening_holds,
  (asked) => (asksOpening.value = asksOpening.value || !!asked),
)
const fitting = computed(() => props.spares.filter((spare) => chosen.value?.links?.includes(spare.id)))
const links = computed(() => [
  ...fitting.value.map((spare) => ({ value: spare.id, title: spare.title })),
  { value: null, title: t('swap.other_link') },
])
watch(
  () => fitting.value.map((spare) => spare.id).join(),
  () => (form.link_id = fitting.value[0]?.id ?? null),
  { immediate: true },
)
const asksLink = computed(() => fitting.value.length > 0 || says('link_spent', 'last_closing'))
// What is wrong with a field that is not asked for is said below.
const known = computed(() => [
  'date',
  'time',
  'opening_holds',
  ...(asksNote.value ? ['note'] : []),
  ...(asksLink.value ? ['new_link', 'link_id', 'closings_allowed'] : []),
])
const lead = () => submit('post', `/bikes/${props.rail.id}/fittings/led`)
function save(): void {
  const worn = measuring.value && meaning.value?.verdict === 'retire' ? off.value : null
  submit('post', `/bikes/${props.rail.id}/fittings`, () => {
    open.value = false
    if (worn) emit('retire', { id: worn.id, name: worn.name })
  })
}
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="`${t('swap.title')}: ${rail.name}`"
    :verb="t('swap.do')"
    :busy="form.processing"
    :errors="beside"
    :known="known"
    :wide="measuring"
    :caution="t('swap.caution')"
    test="swap-form"
    @submit="save">
    <p v-if="!date" class="small">
      {{ t('swap.led_hint') }}
      <button type="button" class="as-link" data-test="led" @click="lead">{{ t('swap.led') }}</button>
    </p>
    <fieldset>
      <legend>{{ t('swap.to') }}</legend>
      <label v-for="chain in choices" :key="chain.id" :data-test="`choose-${chain.label}`">
        <input v-model="form.chain_id" type="radio" name="chain" :value="chain.id" />
        <HookTag :label="chain.label" :ready="chain.ready" /><b>{{ chain.word }}</b
        ><span class="muted">{{ chain.detail }}</span>
      </label>
      <label v-if="rail.fitted"
        ><input v-model="form.chain_id" type="radio" name="chain" :value="null" /><span>{{ t('swap.none') }}</span></label
      >
    </fieldset>
    <p v-if="form.chain_id === null && rail.offNote" class="warning" role="status" data-test="off-note">{{ rail.offNote }}</p>
    <p
      v-for="note in chosen?.fit ?? []"
      :key="note.note"
      class="warning"
      :class="{ ember: note.forbids }"
      role="status"
      data-test="fit-note">
      {{ note.text }}
    </p>
    <div v-if="chosen?.status === 'waxed'" class="short" data-test="short-list">
      <b>{{ t('swap.short.title') }}</b>
      <ul>
        <li v-for="n in [1, 2, 3, 4, 5, 6] as const" :key="n">
          {{ t(!rail.geared && (n === 2 || n === 5) ? `swap.short.${n}_single` : `swap.short.${n}`) }}
        </li>
      </ul>
    </div>
    <p v-if="chosen?.directional" class="small" data-test="directional">{{ t('swap.directional') }}</p>
    <TextField v-if="asksNote" v-model="form.note" :label="t('swap.note')" :error-messages="form.errors.note" name="note" />
    <template v-if="asksLink">
      <TickBox v-model="form.new_link" :label="t('swap.new_link')" :error-messages="form.errors.new_link" data-test="new-link" />
      <v-select
        v-if="form.new_link && fitting.length"
        v-model="form.link_id"
        :items="links"
        :label="t('swap.which_link')"
        :error-messages="form.errors.link_id"
        data-test="link" />
      <NumberField
        v-if="form.new_link && form.link_id === null"
        v-model="form.closings_allowed"
        whole
        :label="t('swap.closings')"
        :hint="t('swap.closings_hint')"
        persistent-hint
        :error-messages="form.errors.closings_allowed"
        name="closings_allowed" />
    </template>
    <template v-if="off">
      <p v-if="off.wear.due" class="warning" data-test="measure-due">{{ t('swap.measure_due') }} {{ off.name }}: {{ off.wear.of }}.</p>
      <TickBox v-model="measuring" :label="`${t('swap.measure')} ${off.name}`" data-test="measure-off" />
      <MeasureFields
        v-if="measuring"
        v-model:reading="reading"
        :chain="off"
        :instruments="forms.instruments"
        :pitches-hint="forms.pitchesHint"
        :payload="payload"
        :errors="readingErrors"
        :when="{ date: form.date, time: form.time }"
        @choose="choose"
        @meaning="meaning = $event" />
    </template>
    <TapChoice
      v-if="asksOpening"
      v-model="form.opening_holds"
      :legend="form.errors.opening_holds ?? t('swap.opening')"
      :options="[
        { value: '1', title: t('swap.opening_holds') },
        { value: '0', title: t('swap.opening_on_top') },
      ]"
      test="opening-holds" />
    <DayAndTime v-model:date="form.date" v-model:time="form.time" :errors="form.errors" />
  </ActionDialog>
</template>

<style scoped>
fieldset {
  display: grid;
  gap: 2px;
}
label {
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 7px 4px;
  border-bottom: 1px solid var(--line);
  cursor: pointer;
  min-height: 44px;
}
input {
  accent-color: var(--ink);
  width: 18px;
  height: 18px;
}
.small {
  margin: 0;
}
.short {
  border-left: 3px solid var(--ink);
  padding-left: 12px;
  font-size: var(--type-2);
}
.short ul {
  margin: 2px 0 0;
  padding-left: 16px;
}
.warning {
  margin: 0;
  font-weight: 560;
}
</style>
