<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { ref, watch } from 'vue'
import PushButton from '@/components/layout/PushButton.vue'
import TickBox from '@/components/forms/TickBox.vue'
import TimeLanes from '@/components/guided/TimeLanes.vue'
import DoneBar from '@/components/layout/DoneBar.vue'
import RiderShares from '@/components/pot/RiderShares.vue'
import TextField from '@/components/forms/TextField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { useKeys } from '@/composables/useKeys'
import { t } from '@/composables/useText'
import type { JobStateView, JobView } from '@/types/server'

/** After a pot day: what was done is the record, to be corrected rather than typed. */
const props = defineProps<{ job: JobView; state: JobStateView }>()
const here = useHere()
const rows = () => (props.state.dips ?? []).map((dip) => ({ ...dip }))
const { form, submit } = useActionForm({ dips: rows() })
// What was corrected is a new version, and the next correction is of that one.
watch(
  () => JSON.stringify(props.state.dips),
  () => (form.dips = rows()),
)
const columns = [
  { field: 'time', title: t('pot_over.at'), unit: undefined },
  { field: 'soak', title: t('pot_over.soak'), unit: 'min' },
  { field: 'temp', title: t('pot_over.bath'), unit: `°${props.job.units.temperature}` },
  { field: 'pickup', title: t('pot_over.pickup'), unit: props.job.units.mass },
] as const
const errorOf = (i: number, field: string) => (form.errors as Record<string, string>)[`dips.${i}.${field}`]
const doneBar = ref<InstanceType<typeof DoneBar> | null>(null)
useKeys({ u: () => doneBar.value?.undo() })
const save = () => submit('put', `/jobs/${props.job.id}/record`)
</script>

<template>
  <div class="over page" data-test="job-over">
    <h1>{{ state.givenUp ? t('job.given_up') : t('job.finished_pot') }}</h1>
    <p>{{ state.givenUp ? t('job.given_up_pot') : t('job.finished_pot_text') }}</p>
    <p v-if="state.recorded" data-test="recorded">{{ state.recorded.undone ? t('job.undone') : state.recorded.text }}</p>
    <div class="row">
      <PushButton main data-test="to-shed" @click="router.visit('/')">{{ t('job.shed') }}</PushButton>
      <Link v-for="(name, i) in job.chains" :key="name" :href="`/chains/${job.chainIds[i]}`">{{ name }}</Link>
    </div>
    <form v-if="form.dips.length && state.recorded && !state.recorded.undone" novalidate @submit.prevent="save">
      <h2>{{ t('pot_over.title') }}</h2>
      <table class="plain record">
        <thead>
          <tr>
            <th>{{ t('pot_over.chain') }}</th>
            <th v-for="column in columns" :key="column.field">{{ column.title }}</th>
            <th>{{ t('pot_over.rinsed') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(dip, i) in form.dips" :key="dip.id" :data-test="`dip-${dip.chain}`">
            <th scope="row">{{ dip.chain }}</th>
            <td v-for="column in columns" :key="column.field">
              <TextField
                v-model="dip[column.field]"
                :type="column.field === 'time' ? 'time' : 'text'"
                :inputmode="column.field === 'time' ? undefined : 'decimal'"
                density="compact"
                :suffix="column.unit"
                :aria-label="`${dip.chain}: ${column.title}`"
                :error-messages="errorOf(i, column.field)"
                :name="`${column.field}-${dip.chain}`"
                :disabled="!here.mayWrite" />
            </td>
            <td>
              <TickBox v-model="dip.rinsed" hide-details :aria-label="`${dip.chain}: ${t('pot_over.rinsed')}`" :disabled="!here.mayWrite" />
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="form.errors.dips" class="ember" role="alert">{{ form.errors.dips }}</p>
      <PushButton v-if="here.mayWrite" type="submit" :loading="form.processing" data-test="correct">{{ t('pot_over.save') }}</PushButton>
    </form>
    <RiderShares v-if="state.split?.length" :shares="state.split" />
    <TimeLanes v-if="state.axis && !state.givenUp" :axis="state.axis" class="lanes" />
    <ul v-if="state.notes.length">
      <li v-for="note in state.notes" :key="note">{{ note }}</li>
    </ul>
    <DoneBar ref="doneBar" />
  </div>
</template>

<style scoped>
.over {
  max-width: 900px;
  margin-inline: auto;
}
p {
  font-size: var(--type-4);
  margin: 12px 0 0;
}
.row {
  margin: 20px 0 28px;
  gap: 16px;
}
.record th {
  white-space: nowrap;
}
.record th[scope='row'] {
  border-bottom: 1px solid var(--line);
  color: var(--ink);
  font-size: var(--type-4);
}
.record + * {
  margin-top: 12px;
}
.record td {
  padding: 4px 4px 4px 0;
  min-width: 92px;
}
.lanes {
  margin: 24px -24px 0;
}
form {
  overflow-x: auto;
}
</style>
