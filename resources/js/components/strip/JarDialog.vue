<script setup lang="ts">
import { computed } from 'vue'
import ActionDialog from '@/components/forms/ActionDialog.vue'
import DayAndTime from '@/components/forms/DayAndTime.vue'
import NumberField from '@/components/forms/NumberField.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import TextField from '@/components/forms/TextField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import type { FormDefaults, JarView, SolventChoice } from '@/types/server'

/** A new jar, or what is done with one that stands there. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{
  jar: JarView | null
  solvents: SolventChoice[]
  roles: { value: string; title: string }[]
  forms: FormDefaults
  temperature: string
}>()
const { form, submit } = useActionForm({
  name: '',
  role: 'dirty',
  act: props.jar?.acts[0]?.value ?? 'fill',
  solvent: null as string | null,
  volume_ml: '',
  flash: '',
  boiling: '',
  note: '',
  date: props.forms.date,
  time: props.forms.time,
})
const fills = computed(() => (props.jar === null ? form.role !== 'waste' : form.act === 'fill'))
const act = computed(() => props.jar?.acts.find((other) => other.value === form.act))
const volumeLabel = computed(() =>
  form.act === 'decant' || form.act === 'filter'
    ? t('jars.kept')
    : form.act === 'hand_in'
      ? t('jars.handed')
      : form.act === 'top_up'
        ? t('jars.added')
        : t('jars.volume'),
)
const hazard = computed(() => props.solvents.find((other) => other.value === form.solvent)?.hazard)
const save = () => submit('post', props.jar === null ? '/jars' : `/jars/${props.jar.id}/entries`, () => (open.value = false))
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="jar === null ? t('jars.add') : `${t('jars.tend')}: ${jar.name}`"
    :verb="jar === null ? t('jars.add') : t('jars.do')"
    :busy="form.processing"
    :errors="form.errors"
    :known="['name', 'role', 'solvent', 'volume_ml', 'flash', 'boiling', 'note', 'date', 'time']"
    :caution="t('jars.waste')"
    test="jar-form"
    @submit="save">
    <template v-if="jar === null">
      <TextField v-model="form.name" :label="t('books.name')" :error-messages="form.errors.name" name="name" />
      <TapChoice v-model="form.role" :legend="t('jars.role')" :options="roles" test="role" />
    </template>
    <TapChoice v-else v-model="form.act" :legend="jar.holds" :options="jar.acts" test="act" />
    <template v-if="fills">
      <v-select
        v-model="form.solvent"
        :items="solvents"
        :label="t('jars.solvent')"
        :clearable="jar === null"
        :error-messages="form.errors.solvent"
        data-test="solvent" />
      <p v-if="hazard" class="small muted">{{ hazard }}</p>
    </template>
    <NumberField
      v-if="jar === null ? fills && form.solvent : act?.volume"
      v-model="form.volume_ml"
      :label="volumeLabel"
      unit="ml"
      :error-messages="form.errors.volume_ml"
      name="volume_ml" />
    <div v-if="fills && form.solvent" class="two">
      <NumberField
        v-model="form.flash"
        :label="t('jars.flash')"
        :unit="`°${temperature}`"
        :hint="t('jars.flash_hint')"
        persistent-hint
        :error-messages="form.errors.flash"
        name="flash" />
      <NumberField
        v-model="form.boiling"
        :label="t('jars.boiling')"
        :unit="`°${temperature}`"
        :error-messages="form.errors.boiling"
        name="boiling" />
    </div>
    <TextField v-if="form.act === 'hand_in'" v-model="form.note" :label="t('jars.note')" :error-messages="form.errors.note" name="note" />
    <DayAndTime v-model:date="form.date" v-model:time="form.time" :errors="form.errors" />
  </ActionDialog>
</template>

<style scoped>
p {
  margin: -8px 0 0;
}
</style>
