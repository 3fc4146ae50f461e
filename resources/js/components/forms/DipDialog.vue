<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { computed, ref } from 'vue'
import ActionDialog from './ActionDialog.vue'
import DayAndTime from './DayAndTime.vue'
import NumberField from '@/components/forms/NumberField.vue'
import TickBox from '@/components/forms/TickBox.vue'
import { formsNow } from '@/composables/nowHere'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import type { FormDefaults, PotChain, PotView } from '@/types/server'

/** Chains that were waxed together, recorded plainly. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ forms: FormDefaults; chains: PotChain[]; list: number[]; pots?: PotView[] }>()
const now = formsNow(props.forms)
const { form, submit } = useActionForm<{
  chains: number[]
  date: string
  time: string
  dry: boolean
  rust_looked: boolean
  stripped: boolean
  pot_id: number | null
  rinsed: number[]
  pickups: Record<number, string>
}>(
  {
    chains: [...props.list],
    date: now.date,
    time: now.time,
    dry: false,
    rust_looked: false,
    stripped: false,
    // The first that has wax in it, until somebody says otherwise.
    pot_id: props.pots?.find((pot) => !pot.empty)?.id ?? null,
    rinsed: props.chains.filter((chain) => props.list.includes(chain.id) && chain.rinse).map((chain) => chain.id),
    pickups: {},
  },
  'dip',
)
const offered = computed(() => props.chains.filter((chain) => props.list.includes(chain.id)))
const potChoices = computed(() => [
  ...(props.pots ?? []).map((pot) => ({ value: pot.id, title: pot.name })),
  { value: null, title: t('dip.no_pot') },
])
const weighing = ref(false)
const rusty = computed(() => offered.value.some((chain) => chain.rust && form.chains.includes(chain.id)))

// What nobody was shown is not said.
form.transform((data) => ({ ...data, rinsed: weighing.value ? data.rinsed : [] }))
const save = () => submit('post', '/dips', () => (open.value = false))
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="t('dip.title')"
    :verb="t('dip.do')"
    :busy="form.processing"
    :errors="form.errors"
    :known="['date', 'time', 'dry', 'rust_looked', 'stripped']"
    :caution="t('dip.caution')"
    test="dip-form"
    @submit="save">
    <p v-if="props.pots?.some((pot) => !pot.empty)" class="led">
      <Link :href="`/pot-day?${form.chains.map((id) => `chains[]=${id}`).join('&')}`" data-test="be-led">{{ t('dip.be_led') }}</Link>
    </p>
    <fieldset>
      <legend>{{ t('dip.chains') }}</legend>
      <v-checkbox
        v-for="chain in offered"
        :key="chain.id"
        :model-value="form.chains"
        :value="chain.id"
        :label="`${chain.name}: ${chain.word}${chain.detail ? ', ' + chain.detail : ''}`"
        @update:model-value="form.chains = $event ?? []" />
    </fieldset>
    <template v-if="props.pots?.length">
      <v-select v-model="form.pot_id" :items="potChoices" :label="t('dip.pot')" :error-messages="form.errors.pot_id" data-test="dip-pot" />
      <button type="button" class="as-link" :aria-expanded="weighing" data-test="weigh" @click="weighing = !weighing">
        {{ t('dip.weigh') }}
      </button>
      <div v-for="chain in weighing ? offered.filter((one) => form.chains.includes(one.id)) : []" :key="chain.id" class="two weighed">
        <NumberField
          v-model="form.pickups[chain.id]"
          :label="`${chain.name}: ${t('dip.pickup')}`"
          :unit="forms.massUnit"
          :error-messages="(form.errors as Record<string, string>)[`pickups.${chain.id}`]"
          :name="`pickup-${chain.name}`" />
        <v-checkbox
          :model-value="form.rinsed"
          :value="chain.id"
          :label="t('dip.rinsed')"
          @update:model-value="form.rinsed = $event ?? []" />
      </div>
    </template>
    <DayAndTime v-model:date="form.date" v-model:time="form.time" :errors="form.errors" />
    <TickBox v-model="form.dry" :label="t('dip.dry')" :error-messages="form.errors.dry" data-test="dry" />
    <TickBox
      v-if="rusty || form.errors.rust_looked"
      v-model="form.rust_looked"
      :label="t('dip.rust')"
      :error-messages="form.errors.rust_looked"
      data-test="rust" />
    <TickBox
      v-if="form.errors.stripped || form.stripped"
      v-model="form.stripped"
      :label="t('dip.stripped')"
      :error-messages="form.errors.stripped"
      data-test="stripped" />
  </ActionDialog>
</template>

<style scoped>
.led {
  margin: 0;
}
.weighed {
  align-items: center;
}
</style>
