<script setup lang="ts">
import { ref } from 'vue'
import BathDialog from './BathDialog.vue'
import PotDialog from './PotDialog.vue'
import PotOnShelf from './PotOnShelf.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { FormDefaults, PotChoices, PotOnShelf as Pot, PotOutOfUse } from '@/types/server'

/** The pots: what each holds and wants, and what is done to it. */
defineProps<{
  pots: Pot[]
  potsOutOfUse: PotOutOfUse[]
  choices: PotChoices
  units: { mass: string; temperature: string }
  forms: FormDefaults
  mayWrite: boolean
}>()
const chosen = ref<Pot | null>(null)
const open = ref<'pot' | 'bath' | null>(null)
function show(what: 'pot' | 'bath', pot: Pot | null): void {
  chosen.value = pot
  open.value = what
}
const close = (shown: boolean) => !shown && (open.value = null)
const discard = (id: number) => write('delete', `/pots/${id}`)
const useAgain = (one: PotOutOfUse) => write('put', `/pots/${one.id}`, { ...one.fields, gone: false })
</script>

<template>
  <section aria-labelledby="pots">
    <div class="row between">
      <h2 id="pots">{{ t('pot_form.title') }}</h2>
      <PushButton v-if="mayWrite" data-test="add-pot" @click="show('pot', null)">{{ t('pot_form.add') }}</PushButton>
    </div>
    <p v-if="!pots.length" class="muted">{{ t('pot_form.none') }}</p>
    <PotOnShelf
      v-for="one in pots"
      :key="one.id"
      :pot="one"
      :temperature="units.temperature"
      :may-write="mayWrite"
      @tend="show('bath', one)"
      @change="show('pot', one)"
      @discard="discard(one.id)" />
    <ul v-if="potsOutOfUse.length" :aria-label="t('pot_form.out_of_use')">
      <li v-for="one in potsOutOfUse" :key="one.id" :data-test="`gone-${one.name}`">
        <span
          ><b>{{ one.name }}</b> <span class="muted small">{{ t('pot_form.out_of_use') }}, {{ one.about }}</span></span
        >
        <span v-if="mayWrite">
          <button type="button" class="as-link" @click="useAgain(one)">{{ t('pot_form.use_again') }}</button>
          <button v-if="one.unused" type="button" class="as-link" @click="discard(one.id)">{{ t('pot_form.discard') }}</button>
        </span>
      </li>
    </ul>
    <details v-if="pots.length">
      <summary>{{ t('strip_plan.why') }}</summary>
      <p class="small">{{ t('pot_form.worked_out') }}</p>
    </details>
    <template v-if="mayWrite">
      <PotDialog
        v-if="open === 'pot'"
        :model-value="true"
        :pot="chosen"
        :choices="choices"
        :temperature="units.temperature"
        @update:model-value="close" />
      <BathDialog
        v-if="open === 'bath' && chosen"
        :model-value="true"
        :pot="chosen"
        :units="units"
        :forms="forms"
        @update:model-value="close" />
    </template>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 4px 0 0;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
</style>
