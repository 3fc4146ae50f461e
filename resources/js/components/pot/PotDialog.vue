<script setup lang="ts">
import ActionDialog from '@/components/forms/ActionDialog.vue'
import NumberField from '@/components/forms/NumberField.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import TickBox from '@/components/forms/TickBox.vue'
import TextField from '@/components/forms/TextField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import type { PotChoices, PotOnShelf } from '@/types/server'

/** A new pot, or one described anew: what it is, how a chain lies in it, how strong it is and what wax is in it. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ pot: PotOnShelf | null; choices: PotChoices; temperature: string }>()
const { form, submit } = useActionForm({
  name: '',
  kind: 'slow_cooker',
  diameter: '',
  height: '',
  low: '',
  high: '',
  wax: 'plain',
  flash: '',
  lay: 'coiled',
  at_once: '',
  for_races: false,
  gone: false,
  ...props.pot?.fields,
})
const close = () => (open.value = false)
const save = () => (props.pot === null ? submit('post', '/pots', close) : submit('put', `/pots/${props.pot.id}`, close))
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="pot === null ? t('pot_form.add') : t('pot_form.change', { pot: pot.name })"
    :verb="pot === null ? t('pot_form.add') : t('pot_form.save')"
    :busy="form.processing"
    :errors="form.errors"
    :known="['name', 'kind', 'diameter', 'height', 'low', 'high', 'wax', 'flash', 'at_once', 'gone']"
    :caution="t('pot_form.safety')"
    test="pot-form"
    @submit="save">
    <TextField v-model="form.name" :label="t('pot_form.name')" :error-messages="form.errors.name" name="name" />
    <div>
      <TapChoice v-model="form.kind" :legend="t('pot_form.kind')" :options="choices.kinds" test="pot-kind" />
      <p v-if="form.errors.kind" class="ember" role="alert">{{ form.errors.kind }}</p>
    </div>
    <div class="two">
      <NumberField
        v-model="form.diameter"
        :label="t('pot_form.diameter')"
        unit="mm"
        :error-messages="form.errors.diameter"
        name="diameter" />
      <NumberField v-model="form.height" :label="t('pot_form.height')" unit="mm" :error-messages="form.errors.height" name="height" />
    </div>
    <div class="two">
      <NumberField v-model="form.low" :label="t('pot_form.low')" unit="W" :error-messages="form.errors.low" name="low" />
      <NumberField v-model="form.high" :label="t('pot_form.high')" unit="W" :error-messages="form.errors.high" name="high" />
    </div>
    <p class="small muted hint">{{ t('pot_form.power_hint') }}</p>
    <TapChoice v-model="form.lay" :legend="t('pot_form.lay')" :options="choices.lays" test="pot-lay" />
    <NumberField
      v-model="form.at_once"
      :label="t('pot_form.at_once')"
      :hint="t('pot_form.at_once_hint')"
      persistent-hint
      :error-messages="form.errors.at_once"
      name="at_once" />
    <TapChoice v-model="form.wax" :legend="t('pot_form.wax')" :options="choices.waxes" test="pot-wax" />
    <NumberField
      v-if="form.wax === 'softened'"
      v-model="form.flash"
      :label="t('pot_form.flash')"
      :unit="`°${temperature}`"
      :error-messages="form.errors.flash"
      name="flash" />
    <TickBox v-model="form.for_races" :label="t('pot_form.for_races')" data-test="for-races" />
    <div v-if="pot !== null">
      <TickBox v-model="form.gone" :label="t('pot_form.gone')" data-test="pot-gone" />
      <p v-if="form.errors.gone" class="ember" role="alert">{{ form.errors.gone }}</p>
    </div>
  </ActionDialog>
</template>

<style scoped>
.hint {
  margin: -12px 0 0;
}
</style>
