<script setup lang="ts">
import ChainFacts from '@/components/chain/ChainFacts.vue'
import ActionDialog from '@/components/forms/ActionDialog.vue'
import NumberField from '@/components/forms/NumberField.vue'
import TickBox from '@/components/forms/TickBox.vue'
import TextField from '@/components/forms/TextField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import type { ChainPage } from '@/types/server'

/** What is known of a chain itself: its hook, size, price, the event it is kept for. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<Pick<ChainPage, 'chain' | 'edit' | 'forms' | 'units'>>()
const { form: details, submit: submitDetails } = useActionForm({ ...props.edit })
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="`${t('chain.details')}: ${chain.name}`"
    :verb="t('verbs.save')"
    :busy="details.processing"
    :errors="details.errors"
    :known="['label', 'speeds', 'pitches', 'bike_id', 'mass', 'price', 'bought_on', 'drip_interval', 'event', 'event_on', 'dipped_after']"
    @submit="submitDetails('put', `/chains/${chain.id}`, () => (open = false))">
    <v-select
      v-model="details.bike_id"
      :items="forms.bikes"
      item-value="id"
      item-title="name"
      :label="t('new_chain.rail')"
      :error-messages="details.errors.bike_id" />
    <div class="two">
      <TextField v-model="details.label" :label="t('new_chain.label')" :error-messages="details.errors.label" />
      <NumberField v-model="details.speeds" whole :label="t('new_chain.speeds')" :error-messages="details.errors.speeds" />
    </div>
    <NumberField v-model="details.pitches" whole :label="t('new_chain.pitches')" :error-messages="details.errors.pitches" />
    <TickBox v-if="Number(details.speeds) === 1" v-model="details.half_link" :label="t('new_chain.half_link')" />
    <ChainFacts v-model="details" asks-load asks-event :errors="details.errors" :units="units" />
  </ActionDialog>
</template>
