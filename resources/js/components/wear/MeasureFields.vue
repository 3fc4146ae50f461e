<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import PushButton from '@/components/layout/PushButton.vue'
import WearRule from '@/components/chain/WearRule.vue'
import NumberField from '@/components/forms/NumberField.vue'
import GaugeFeed from './GaugeFeed.vue'
import SeatChoice from './SeatChoice.vue'
import TextField from '@/components/forms/TextField.vue'
import { newActionId } from '@/composables/useActionForm'
import { emptySpot, isRead, isSame } from '@/composables/useMeasuring'
import { usePreview } from '@/composables/usePreview'
import { t } from '@/composables/useText'
import type { Measuring } from '@/types/wear'
import type { InstrumentView, Meaning } from '@/types/server'

/** Takes a reading: the instrument, what it showed at each spot, and at once what that means for the chain. */
const reading = defineModel<Measuring>('reading', { required: true })
const props = defineProps<{
  chain: { id: number; name: string }
  instruments: InstrumentView[]
  pitchesHint: string
  payload: () => { spots: unknown[] }
  errors: Record<string, string | undefined>
  when: { date: string; time: string }
}>()
const emit = defineEmits<{ choose: [instrument: InstrumentView]; meaning: [meaning: Meaning | null] }>()
// Nothing is done by asking; every form brings an id all the same.
const asking = newActionId()
const spot = ref(0)
const at = computed(() => reading.value.spots[spot.value] ?? reading.value.spots[0])
const kind = computed(() => reading.value.instrument?.kind)
const { preview, problems } = usePreview<Meaning>(
  'post',
  () => `/chains/${props.chain.id}/readings/meaning`,
  () => (props.payload().spots.length ? { ...props.payload(), ...props.when, action_id: asking } : null),
)
watch(preview, (meaning) => emit('meaning', meaning))
watch(
  () => reading.value.instrument,
  () => (spot.value = 0),
)
const wrong = (field: string) => props.errors[field] ?? problems.value[field]
// The server counts only the spots of which something was said.
const sent = computed(() =>
  reading.value.spots.map((_, i) => reading.value.spots.slice(0, i).filter((one) => isRead(one, kind.value)).length),
)
const wrongSpots = computed(() =>
  reading.value.spots.flatMap((one, i) => {
    if (!isRead(one, kind.value)) return []
    const found = Object.entries({ ...problems.value, ...props.errors }).find(([field]) => field.startsWith(`spots.${sent.value[i]}.`))
    return found ? [{ spot: i, text: found[1] ?? '' }] : []
  }),
)
const here = computed(() => wrongSpots.value.find((one) => one.spot === spot.value)?.text)
const elsewhere = computed(() => wrongSpots.value.filter((one) => one.spot !== spot.value))
function another(): void {
  const spots = reading.value.spots
  spots.push(emptySpot())
  spot.value = spots.length - 1
}
/** What a gauge sends fills the spot that is open, then the next ones. */
function take(value: string): void {
  if (at.value && at.value.value_pct !== '') another()
  if (at.value) at.value.value_pct = value
}
const said = (i: number) => {
  const one = reading.value.spots[i]
  if (!one) return ''
  if (kind.value === 'ruler') return one.length_mm && `${one.length_mm}`
  if (kind.value === 'digital') return one.value_pct && `${one.value_pct} %`
  return Object.entries(one.seats)
    .flatMap(([mark, seat]) => (seat === '' ? [] : `${t(`measure.${seat}`)} ${t('measure.at')} ${mark}`))
    .join(', ')
}
</script>

<template>
  <div class="measure" data-test="measure-fields">
    <div class="take fields">
      <fieldset>
        <legend>{{ t('measure.with') }}</legend>
        <div class="instruments">
          <label
            v-for="one in instruments"
            :key="`${one.kind} ${one.id}`"
            :class="{ on: isSame(one, reading.instrument) }"
            :data-test="one.id === null ? `kind-${one.kind}` : `instrument-${one.name}`">
            <input type="radio" name="instrument" :checked="isSame(one, reading.instrument)" @change="emit('choose', one)" />
            <b>{{ one.name }}</b><small>{{ one.about }}</small>
          </label>
        </div>
      </fieldset>
      <div v-if="reading.spots.length > 1" class="spots" role="tablist" :aria-label="t('measure.spots')">
        <button
          v-for="(_, i) in reading.spots"
          :key="i"
          type="button"
          role="tab"
          :aria-selected="spot === i"
          :data-test="`spot-${i + 1}`"
          @click="spot = i">
          <b>{{ t('measure.spot') }} {{ i + 1 }}</b> {{ said(i) || '—' }}
        </button>
      </div>
      <template v-if="at">
        <template v-if="kind === 'ruler'">
          <div class="two">
            <NumberField v-model="reading.pitches" whole :label="t('measure.pitches')" :error-messages="wrong('pitches')" name="pitches" />
            <TextField v-model="at.length_mm" :label="t('measure.length')" :error-messages="here" name="length_mm" />
          </div>
          <p class="muted small">{{ pitchesHint }}</p>
        </template>
        <template v-else-if="kind === 'digital'">
          <div class="two">
            <NumberField v-model="at.value_pct" :label="t('measure.value')" :error-messages="here" name="value_pct" />
            <NumberField v-model="reading.zero_pct" :label="t('measure.zero')" :error-messages="wrong('zero_pct')" name="zero_pct" />
          </div>
          <p class="muted small">{{ t('measure.digital_hint') }}</p>
          <GaugeFeed :chain="chain.id" @value="take" />
        </template>
        <template v-else>
          <SeatChoice v-for="mark in reading.instrument?.marks ?? []" :key="`${spot} ${mark}`" v-model="at.seats[mark]!" :mark="mark" />
          <p v-if="here" class="ember" role="alert" data-test="wrong-seats">{{ here }}</p>
        </template>
      </template>
      <p v-for="one in elsewhere" :key="one.spot" class="ember" role="alert">{{ t('measure.spot') }} {{ one.spot + 1 }}: {{ one.text }}</p>
      <div class="row more">
        <PushButton data-test="another-spot" @click="another">{{ t('measure.another') }}</PushButton>
        <span class="muted small">{{ t('measure.worst') }}</span>
      </div>
    </div>
    <div class="means" role="status" aria-live="polite" data-test="meaning" :data-verdict="preview?.verdict">
      <template v-if="preview">
        <p class="reads">{{ preview.reads }}</p>
        <WearRule :wear="preview.wear" :width="250" />
        <p v-if="preview.agree" :class="{ heavy: preview.uneven }" data-test="agree">{{ preview.agree }}</p>
        <p
          v-for="(sentence, i) in preview.sentences"
          :key="sentence"
          :class="{ lead: i === 0, ember: i === 0 && preview.verdict === 'retire' }">
          {{ sentence }}
        </p>
        <p v-if="preview.unlikely" class="heavy" data-test="unlikely">{{ preview.unlikely }}</p>
        <v-checkbox
          v-if="preview.unlikely || errors.sure"
          :model-value="reading.sure"
          :label="t('measure.sure')"
          :error-messages="preview.unlikely === errors.sure ? undefined : errors.sure"
          data-test="sure"
          @update:model-value="reading.sure = $event === true" />
        <details v-if="preview.why">
          <summary>{{ t('chain.why') }}</summary>
          <p class="muted small">{{ preview.why }}</p>
        </details>
      </template>
      <p v-else class="muted">{{ t('measure.nothing_yet') }}</p>
    </div>
  </div>
</template>

<style scoped>
.measure {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
  gap: 26px;
}
.instruments {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 4px;
}
.instruments label {
  position: relative;
  border: 1.2px solid var(--ink);
  border-radius: 3px;
  padding: 7px 10px;
  cursor: pointer;
  line-height: 1.2;
}
.instruments label.on {
  background: var(--ink);
  color: var(--paper);
}
.instruments label:focus-within {
  outline: 2.5px solid var(--ink);
  outline-offset: 2px;
}
.instruments input {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  margin: 0;
  opacity: 0;
  cursor: pointer;
}
small {
  display: block;
  font-size: var(--type-1);
}
.spots {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.spots button {
  font: inherit;
  font-size: var(--type-2);
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 3px solid var(--line);
  padding: 4px 10px;
  min-height: 32px;
  cursor: pointer;
}
.spots button[aria-selected='true'] {
  border-bottom-color: var(--ink);
}
p {
  margin: 0;
}
.more {
  gap: 12px;
}
.means {
  border-left: 1.5px solid var(--ink);
  padding-left: 20px;
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-height: 190px;
}
.reads {
  color: var(--steel);
}
.lead {
  font-size: var(--type-4);
  font-weight: 620;
  line-height: 1.3;
}
.heavy {
  font-weight: 620;
}
@media (max-width: 52.49em) {
  .measure {
    grid-template-columns: minmax(0, 1fr);
    gap: 16px;
  }
  .means {
    border-left: 0;
    border-top: 1.5px solid var(--ink);
    padding: 12px 0 0;
    min-height: 0;
  }
  .spots button {
    min-height: 44px;
  }
}
</style>
