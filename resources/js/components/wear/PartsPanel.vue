<script setup lang="ts">
import { computed, ref } from 'vue'
import ActionDialog from '@/components/forms/ActionDialog.vue'
import DayAndTime from '@/components/forms/DayAndTime.vue'
import NumberField from '@/components/forms/NumberField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import TickBox from '@/components/forms/TickBox.vue'
import StepDrawing from '@/components/guided/StepDrawing.vue'
import PartLife from './PartLife.vue'
import TextField from '@/components/forms/TextField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { useOneOpen } from '@/composables/useOneOpen'
import { teethSeen } from '@/composables/teethSeen'
import { t } from '@/composables/useText'
import type { FormDefaults, OpeningView, PartOnBike } from '@/types/server'

/** The cassettes, chainring and jockey wheels of a bike: put on, changed for another wheel, replaced. */
const props = defineProps<{
  bike: number
  parts: PartOnBike[]
  drawer: { id: number; name: string; km: string }[]
  kinds: { value: string; title: string }[]
  forms: FormDefaults
}>()
const emit = defineEmits<{ correct: [part: { name: string; opening: OpeningView }] }>()
const here = useHere()
const { open, shown } = useOneOpen<'add' | 'fit' | 'retire' | 'teeth'>()
const part = ref<{ id: number; name: string } | null>(null)
const [adding, moving, looking] = [shown('add'), shown('fit', 'retire'), shown('teeth')]
const now = { date: props.forms.date, time: props.forms.time }
const { form, submit } = useActionForm({
  kind: 'cassette',
  name: '',
  km: '',
  price: '',
  on_trainer: false,
  replaces: true,
  ...now,
})
const { form: move, submit: submitMove } = useActionForm({ bike_id: props.bike, ...now })
const { form: look, submit: submitLook } = useActionForm({ teeth: 'good', ...now })
const looked = () => submitLook('post', `/parts/${part.value?.id}/teeth`, () => (open.value = null))
const before = computed(() => props.parts.some((one) => one.slot === (form.kind === 'cassette' && form.on_trainer ? 'trainer' : form.kind)))
function add(): void {
  submit('post', `/bikes/${props.bike}/parts`, () => {
    open.value = null
    form.name = ''
  })
}
function about(what: 'fit' | 'retire' | 'teeth', one: { id: number; name: string }): void {
  part.value = one
  open.value = what
}
const go = () =>
  submitMove('post', `/parts/${part.value?.id}/${open.value === 'fit' ? 'fittings' : 'retirement'}`, () => (open.value = null))
</script>

<template>
  <section aria-labelledby="parts">
    <h2 id="parts">{{ t('part_form.title') }}</h2>
    <p v-if="!parts.length" class="muted">{{ t('part_form.none') }}</p>
    <ul>
      <li v-for="one in parts" :key="one.id">
        <PartLife :part="one" />
        <span class="acts">
          <PushButton
            v-if="one.opening"
            :aria-label="`${t('opening.correct')}: ${one.name}`"
            data-test="correct-part"
            @click="emit('correct', { name: one.name, opening: one.opening })"
            >{{ t('opening.correct') }}</PushButton
          >
          <PushButton
            v-if="one.slot === 'cassette' || one.slot === 'ring'"
            :aria-label="`${t('teeth.title')}: ${one.name}`"
            :data-test="`teeth-${one.name}`"
            @click="about('teeth', one)"
            >{{ t('teeth.title') }}</PushButton
          >
          <PushButton
            :aria-label="`${t('part_form.retire')}: ${one.name}`"
            :data-test="`retire-part-${one.name}`"
            @click="about('retire', one)"
            >{{ t('part_form.retire') }}</PushButton
          >
        </span>
      </li>
    </ul>
    <template v-if="drawer.length">
      <h3 class="small muted">{{ t('part_form.drawer') }}</h3>
      <ul>
        <li v-for="one in drawer" :key="one.id">
          <span
            ><b>{{ one.name }}</b
            >, {{ one.km }}</span
          >
          <PushButton :aria-label="`${t('part_form.fit')}: ${one.name}`" :data-test="`fit-part-${one.name}`" @click="about('fit', one)">{{
            t('part_form.fit')
          }}</PushButton>
        </li>
      </ul>
    </template>
    <PushButton data-test="add-part" @click="open = 'add'">{{ t('part_form.add') }}</PushButton>
    <ActionDialog
      v-model="adding"
      :title="t('part_form.title')"
      :verb="t('part_form.do')"
      :busy="form.processing"
      :errors="form.errors"
      :known="['kind', 'name', 'km', 'price', 'date', 'time']"
      test="part-form"
      @submit="add">
      <TapChoice v-model="form.kind" :legend="t('part_form.kind')" :options="kinds" test="part-kind" />
      <TextField v-model="form.name" :label="t('part_form.name')" :error-messages="form.errors.name" name="part-name" />
      <div class="two">
        <NumberField
          v-model="form.km"
          :label="t('part_form.km')"
          :unit="here.distanceUnit"
          :hint="t('part_form.km_hint')"
          persistent-hint
          :error-messages="form.errors.km"
          name="part-km" />
        <NumberField v-model="form.price" :label="t('part_form.price')" :error-messages="form.errors.price" name="part-price" />
      </div>
      <TickBox v-if="form.kind === 'cassette'" v-model="form.on_trainer" :label="t('part_form.on_trainer')" data-test="on-trainer" />
      <TickBox
        v-if="before"
        v-model="form.replaces"
        :label="t('part_form.replaces')"
        :hint="t('part_form.replaces_hint')"
        persistent-hint
        data-test="replaces" />
      <DayAndTime v-model:date="form.date" v-model:time="form.time" :errors="form.errors" />
    </ActionDialog>
    <ActionDialog
      v-if="part"
      v-model="looking"
      :title="`${t('teeth.title')}: ${part.name}`"
      :verb="t('pot_form.save')"
      :busy="look.processing"
      :errors="look.errors"
      :known="['teeth', 'date', 'time']"
      test="teeth-form"
      @submit="looked">
      <StepDrawing what="teeth" />
      <TapChoice v-model="look.teeth" :legend="t('teeth.legend')" :options="teethSeen()" test="teeth" />
      <DayAndTime v-model:date="look.date" v-model:time="look.time" :errors="look.errors" />
    </ActionDialog>
    <ActionDialog
      v-if="part"
      v-model="moving"
      :title="`${t(open === 'fit' ? 'part_form.fit' : 'part_form.retire')}: ${part.name}`"
      :verb="t(open === 'fit' ? 'part_form.fit' : 'part_form.retire')"
      :busy="move.processing"
      :errors="move.errors"
      :known="['date', 'time']"
      test="part-move-form"
      @submit="go">
      <p v-if="open === 'retire'" class="muted">{{ t('part_form.retire_text') }}</p>
      <DayAndTime v-model:date="move.date" v-model:time="move.time" :errors="move.errors" />
    </ActionDialog>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 6px 0 10px;
}
li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 8px 14px;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
h3 {
  margin: 10px 0 0;
  font-weight: 620;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
