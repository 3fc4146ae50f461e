<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { computed } from 'vue'
import ActionDialog from './ActionDialog.vue'
import DayAndTime from './DayAndTime.vue'
import TapChoice from './TapChoice.vue'
import NumberField from '@/components/forms/NumberField.vue'
import TickBox from '@/components/forms/TickBox.vue'
import { formsNow } from '@/composables/nowHere'
import { useActionForm } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'
import type { FormDefaults } from '@/types/server'

/** A top-up that is done already; one that is not is led step by step. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ forms: FormDefaults; chain: { id: number; name: string; topUpCounts: boolean }; to?: string }>()
const here = useHere()
const now = formsNow(props.forms)
const { form, submit } = useActionForm(
  {
    distance: props.forms.topUp,
    bottle_id: props.forms.bottles[0]?.value ?? null,
    coats: '1',
    stripped: false,
    date: now.date,
    time: now.time,
  },
  'topup',
)
const bottles = computed(() => [...props.forms.bottles, { value: null, title: t('drip.no_bottle') }])
const coats = ['1', '2', '3'].map((value) => ({ value, title: value }))
const save = () =>
  submit('post', `/chains/${props.chain.id}/topups`, () => {
    open.value = false
    if (props.to) router.visit(props.to)
  })
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="`${t('topup.title')}: ${chain.name}`"
    :verb="t('topup.do')"
    :busy="form.processing"
    :errors="form.errors"
    :known="['date', 'time', 'distance', 'bottle_id', 'coats', 'stripped']"
    :caution="t('topup.hint')"
    test="topup-form"
    @submit="save">
    <p v-if="!to" class="led">
      {{ t('drip.not_done') }} <Link :href="`/chains/${chain.id}/drip`" data-test="be-led">{{ t('drip.led') }}</Link>
    </p>
    <NumberField
      v-if="chain.topUpCounts"
      v-model="form.distance"
      :label="t('topup.km')"
      :unit="here.distanceUnit"
      :error-messages="form.errors.distance"
      name="distance" />
    <template v-if="forms.bottles.length">
      <v-select
        v-model="form.bottle_id"
        :items="bottles"
        :label="t('drip.bottle')"
        :error-messages="form.errors.bottle_id"
        data-test="bottle" />
      <TapChoice v-if="form.bottle_id !== null" v-model="form.coats" :legend="t('drip.coats')" :options="coats" test="coats" />
    </template>
    <DayAndTime v-model:date="form.date" v-model:time="form.time" :errors="form.errors" />
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
.led a {
  font-weight: 680;
}
</style>
