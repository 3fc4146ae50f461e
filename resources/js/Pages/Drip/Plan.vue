<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { computed, reactive, ref } from 'vue'
import NumberField from '@/components/forms/NumberField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import TickBox from '@/components/forms/TickBox.vue'
import TopUpDialog from '@/components/forms/TopUpDialog.vue'
import AppShell from '@/components/layout/AppShell.vue'
import { newActionId } from '@/composables/useActionForm'
import { usePreview } from '@/composables/usePreview'
import { t } from '@/composables/useText'
import type { DripPlan, DripPlanPage } from '@/types/server'

/** A drip top-up before it begins: how, from which bottle, and what follows. */
const props = defineProps<DripPlanPage>()
const form = reactive({
  ...props.proposed,
  coats: String(props.proposed.coats),
  brushed_in: false,
  bottle_id: props.bottles[0]?.value ?? null,
})
const bottles = computed(() => [...props.bottles, { value: null, title: t('drip.no_bottle') }])
const actionId = newActionId()
const wanted = () => ({
  ...form,
  box_mm: form.place === 'in_box' ? form.box_mm || null : null,
  chain_id: props.chain.id,
  action_id: actionId,
})
const { preview, problems } = usePreview<DripPlan>('post', () => '/drip/plan', wanted)
const starting = ref(false)
const refused = ref<Record<string, string>>({})
const errors = computed(() => Object.values({ ...problems.value, ...refused.value }))
const recording = ref(false)
const start = () =>
  router.post('/drip', wanted(), {
    onStart: () => (starting.value = true),
    onFinish: () => (starting.value = false),
    onError: (found) => (refused.value = found),
  })
const coats = ['1', '2', '3'].map((value) => ({ value, title: value }))
</script>

<template>
  <AppShell :title="t('drip.title')" at="pot">
    <div class="page">
      <h1>{{ t('drip.title') }}: {{ chain.name }}</h1>
      <form class="cols" novalidate @submit.prevent="start">
        <div class="fields">
          <TapChoice v-model="form.place" :legend="t('drip.where')" :options="places" test="place" />
          <TapChoice v-if="form.place === 'on_bike'" v-model="form.manner" :legend="t('drip.manner')" :options="manners" test="manner" />
          <NumberField
            v-else
            v-model="form.box_mm"
            :label="t('drip.box')"
            unit="mm"
            :hint="t('drip.box_hint')"
            persistent-hint
            :error-messages="problems.box_mm"
            name="box_mm" />
          <v-select v-model="form.bottle_id" :items="bottles" :label="t('drip.bottle')" data-test="bottle" />
          <TapChoice v-model="form.coats" :legend="t('drip.coats')" :options="coats" test="coats" />
          <TapChoice v-model="form.excess" :legend="t('drip.excess')" :options="schools" test="excess" />
          <div>
            <TickBox v-model="form.washed" :label="t('drip.washed')" data-test="washed" />
            <TickBox v-model="form.warmed" :label="t('drip.warmed')" data-test="warmed" />
            <TickBox v-model="form.brushed_in" :label="t('drip.brushed_in')" data-test="brushed-in" />
          </div>
          <p class="caution">{{ t('topup.hint') }}</p>
        </div>
        <div class="fields">
          <div class="sheet outcome" aria-live="polite">
            <ul v-if="preview" class="lines" data-test="drip-lines">
              <li v-for="line in preview.lines" :key="line">{{ line }}</li>
            </ul>
            <div v-else class="lines" />
            <p v-for="message in errors" :key="message" class="ember" role="alert">{{ message }}</p>
            <div class="row at-hand">
              <PushButton type="submit" main :loading="starting" data-test="start">{{ t('drip.begin') }}</PushButton>
              <PushButton data-test="already" @click="recording = true">{{ t('drip.already') }}</PushButton>
              <Link href="/">{{ t('verbs.cancel') }}</Link>
            </div>
          </div>
          <section v-if="preview" aria-labelledby="steps">
            <h2 id="steps">{{ t('drip.steps') }}</h2>
            <ol>
              <li v-for="(step, i) in preview.steps" :key="i">
                <span>{{ step.title }}</span><span class="muted">{{ step.time }}</span>
              </li>
            </ol>
          </section>
          <details>
            <summary>{{ t('strip_plan.why') }}</summary>
            <p class="small">{{ t('drip.worked_out') }}</p>
          </details>
        </div>
      </form>
    </div>
    <TopUpDialog v-if="recording" v-model="recording" :forms="forms" :chain="chain" to="/" />
  </AppShell>
</template>

<style scoped>
/* Kept free for what comes a moment later: the buttons below do not move. */
.lines {
  min-height: 150px;
}
.cols {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
  gap: 36px;
  margin-top: 16px;
  align-items: start;
}
ul,
ol {
  list-style: none;
  padding: 0;
  margin: 0;
}
p {
  margin: 0;
}
.outcome {
  display: grid;
  gap: 14px;
}
.outcome ul {
  display: grid;
  gap: 7px;
}
.outcome li:first-child {
  font-weight: 680;
}
ol li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
}
.row {
  gap: 14px;
}
@media (max-width: 71.56em) {
  .cols {
    grid-template-columns: minmax(0, 1fr);
    gap: 22px;
  }
}
</style>
