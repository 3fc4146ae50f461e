<script setup lang="ts">
import { computed } from 'vue'
import HookTag from '@/components/chain/HookTag.vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import type { FormDefaults, Rail } from '@/types/props'
import ActionDialog from './ActionDialog.vue'
import DayAndTime from './DayAndTime.vue'

/** Which chain goes on, and when. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ forms: FormDefaults; rail: Rail; date?: string | null; time?: string | null }>()
const choices = computed(() => props.rail.hanging.concat(props.rail.fitted && props.date ? [props.rail.fitted] : []))
const { form, submit } = useActionForm<{ chain_id: number | null; date: string; time: string }>({
  chain_id: props.rail.best ?? choices.value[0]?.id ?? null,
  date: props.date ?? props.forms.date,
  time: props.time ?? props.forms.time,
})
const chosen = computed(() => choices.value.find((chain) => chain.id === form.chain_id))
const warning = computed(() =>
  !chosen.value || chosen.value.ready
    ? null
    : chosen.value.worn
      ? t('swap.worn')
      : t(chosen.value.unsure ? 'swap.unsure' : 'swap.not_waxed'),
)

const save = () => submit('post', `/bikes/${props.rail.id}/fittings`, () => (open.value = false))
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="`${t('swap.title')}: ${rail.name}`"
    :verb="t('swap.do')"
    :busy="form.processing"
    :errors="form.errors"
    :known="['date', 'time']"
    :caution="t('swap.caution')"
    test="swap-form"
    @submit="save">
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
    <p v-if="warning" class="ember warning" role="status">{{ warning }}</p>
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
  min-height: 42px;
}
input {
  accent-color: var(--ink);
  width: 18px;
  height: 18px;
}
.warning {
  margin: 0;
  font-weight: 560;
}
</style>
