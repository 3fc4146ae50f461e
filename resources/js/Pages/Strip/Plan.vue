<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { computed, reactive, ref, watch } from 'vue'
import NumberField from '@/components/forms/NumberField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import TickBox from '@/components/forms/TickBox.vue'
import EmptyState from '@/components/layout/EmptyState.vue'
import AppShell from '@/components/layout/AppShell.vue'
import BathTable from '@/components/strip/BathTable.vue'
import FlowSteps from '@/components/strip/FlowSteps.vue'
import { newActionId } from '@/composables/useActionForm'
import { usePreview } from '@/composables/usePreview'
import { samePage } from '@/composables/samePage'
import { t } from '@/composables/useText'
import type { StripPlanPage, StripPlanView } from '@/types/server'

const props = defineProps<StripPlanPage>()
const form = reactive({
  // Only one waits: that one.
  chains: props.chosen.length ? [...props.chosen] : props.chains.slice(0, props.chains.length === 1 ? 1 : 0).map((chain) => chain.id),
  protocol: props.usual,
  start: '',
  sources: null as { jar: number | null; into: number | null }[] | null,
  without_petrol: false,
  not_advised: false,
  unmeasured: false,
  fresh_wax: false,
  split: '',
  total_ml: '',
  target_pct: '1',
})
const actionId = newActionId()
const starting = ref(false)
const refused = ref<Record<string, string>>({})
const school = computed(() => props.protocols.find((other) => other.code === form.protocol))
// Which jars serve which baths is proposed anew when the baths are others.
watch(
  () => [form.protocol, form.without_petrol, form.split, form.total_ml, form.target_pct],
  () => (form.sources = null),
)
watch(
  () => form.protocol,
  () => Object.assign(form, { split: '', without_petrol: false, not_advised: false }),
)
const all = ref(false)
const shownSchools = computed(() => (all.value ? props.protocols : props.protocols.filter((other) => other.code === form.protocol)))
const wanted = () => ({
  ...form,
  action_id: actionId,
  start: form.start || null,
  split: form.split && form.total_ml && form.target_pct ? form.split : null,
  total_ml: form.total_ml || null,
})
const { preview, problems } = usePreview<StripPlanView>(
  'post',
  () => '/strip/plan',
  () => (form.chains.length ? wanted() : null),
)
// The jars that were chosen stay in sight while a figure is put right.
const baths = ref<StripPlanView['baths']>([])
watch(preview, (plan) => (baths.value = plan?.baths ?? (form.chains.length ? baths.value : [])))
const errors = computed<Record<string, string | undefined>>(() => ({ ...problems.value, ...refused.value }))
const beside = computed(() =>
  Object.entries(errors.value).filter(
    ([field]) =>
      !['start', 'total_ml', 'target_pct', 'target_fraction', 'not_advised', 'unmeasured', 'fresh_wax'].includes(field) &&
      !field.startsWith('sources.'),
  ),
)
const splits = computed(() => [{ value: '', title: t('strip_plan.as_school') }, ...(school.value?.solvents ?? [])])

function choose(bath: number, source: { jar: number | null; into: number | null }): void {
  form.sources = baths.value.map((other, i) => (i === bath ? source : { jar: other.jar, into: other.into }))
}
function start(): void {
  refused.value = {}
  router.post('/strip', wanted(), {
    preserveState: true,
    preserveScroll: samePage,
    onStart: () => (starting.value = true),
    onFinish: () => (starting.value = false),
    onError: (found) => (refused.value = found),
  })
}
</script>

<template>
  <AppShell :title="t('strip_plan.title')" at="pot">
    <div class="page">
      <FlowSteps v-if="chains.length" at="strip" />
      <h1>{{ t('strip_plan.title') }}</h1>
      <EmptyState v-if="!chains.length" :text="t('strip_plan.none')" href="/chains/new" :verb="t('new_chain.title')" />
      <form v-else class="cols" novalidate @submit.prevent="start">
        <div class="fields">
          <fieldset>
            <legend>{{ t('strip_plan.chains') }}</legend>
            <label v-for="chain in chains" :key="chain.id" class="pick" :data-test="`strip-${chain.name}`">
              <input v-model="form.chains" type="checkbox" :value="chain.id" /><b>{{ chain.name }}</b
              ><span class="muted">{{ chain.load }}</span>
            </label>
            <p v-if="errors.chains" class="ember" role="alert" data-test="chains-problem">{{ errors.chains }}</p>
            <TickBox
              v-for="ask in preview?.asks ?? []"
              :key="ask.field"
              v-model="form[ask.field]"
              :label="ask.text"
              :error-messages="errors[ask.field]"
              :data-test="`ask-${ask.field}`" />
          </fieldset>
          <fieldset>
            <legend>{{ t('strip_plan.school') }}</legend>
            <label
              v-for="other in shownSchools"
              :key="other.code"
              class="school"
              :class="{ on: other.code === form.protocol }"
              :data-test="`school-${other.code}`">
              <input v-model="form.protocol" type="radio" name="protocol" :value="other.code" />
              <span class="names"
                ><b>{{ other.name }}</b
                ><em v-if="!other.advised">{{ t('strip_plan.not_advised') }}</em
                ><em v-if="other.own !== null" class="plain">{{ t('strip_plan.own') }}</em>
                <span class="muted">{{ other.reason }}</span>
                <template v-if="other.code === form.protocol">
                  <ol class="steps">
                    <li v-for="line in other.lines" :key="line">{{ line }}</li>
                  </ol>
                  <span class="links"
                    ><Link :href="`/protocols/${other.code}`" data-test="card">{{ t('strip_plan.card') }}</Link
                    ><Link :href="`/protocols/${other.code}/copy`" data-test="copy">{{
                      other.own === null ? t('strip_plan.copy') : t('strip_plan.change')
                    }}</Link></span
                  >
                </template>
                <span v-else class="small muted">{{ other.takes }}</span>
              </span>
            </label>
            <button v-if="!all" type="button" class="as-link" data-test="other-schools" @click="all = true">
              {{ t('strip_plan.others', { count: protocols.length - 1 }) }}
            </button>
          </fieldset>
          <ul v-if="preview" class="hazards caution">
            <li v-for="hazard in preview.hazards" :key="hazard.solvent">
              <b>{{ hazard.solvent }}.</b> {{ hazard.text }}
            </li>
            <li v-for="warning in preview.warnings" :key="warning">{{ warning }}</li>
            <li>{{ t('jars.waste') }}</li>
          </ul>
          <details>
            <summary>{{ t('strip_plan.why') }}</summary>
            <p class="small">{{ t('strip_plan.formula') }}</p>
          </details>
        </div>
        <div class="fields plan">
          <div v-if="school && !school.advised" class="caution fields" data-test="not-advised">
            <span>{{ notAdvised }}</span>
            <TickBox v-model="form.without_petrol" :label="t('strip_plan.instead')" data-test="instead" />
            <TickBox
              v-if="!form.without_petrol"
              v-model="form.not_advised"
              :label="t('strip_plan.agree')"
              :error-messages="errors.not_advised"
              data-test="agree" />
          </div>
          <div class="sheet outcome">
            <ul v-if="preview" class="lines" data-test="plan-lines">
              <li v-for="line in preview.lines" :key="line">{{ line }}</li>
            </ul>
            <p v-if="preview?.offers.length" class="row offers" data-test="offers">
              <template v-for="offer in preview.offers" :key="offer.text">
                <Link v-if="offer.href" :href="offer.href">{{ offer.text }}</Link>
                <button v-else type="button" class="as-link" @click="form.protocol = offer.school ?? form.protocol">
                  {{ offer.text }}
                </button>
              </template>
            </p>
            <div class="row at-hand">
              <PushButton type="submit" main :loading="starting" data-test="start">{{ t('strip_plan.start') }}</PushButton>
              <Link v-if="form.chains.length === 1" :href="`/chains/${form.chains[0]}?do=strip`" data-test="already">{{
                t('strip_plan.already')
              }}</Link>
            </div>
          </div>
          <div class="two">
            <NumberField
              v-model="form.start"
              :label="t('strip_plan.load')"
              :placeholder="preview?.start"
              :unit="massUnit"
              :hint="t('strip_plan.load_hint')"
              persistent-hint
              :error-messages="errors.start ?? errors.start_g"
              name="start" />
            <v-select v-model="form.split" :items="splits" :label="t('strip_plan.at_hand')" data-test="split" />
          </div>
          <div v-if="form.split" class="two">
            <NumberField
              v-model="form.total_ml"
              :label="t('strip_plan.total')"
              unit="ml"
              :hint="t('strip_plan.at_hand_hint')"
              persistent-hint
              :error-messages="errors.total_ml"
              name="total_ml" />
            <NumberField
              v-model="form.target_pct"
              :label="t('strip_plan.leave')"
              :error-messages="errors.target_pct ?? errors.target_fraction"
              name="target_pct" />
          </div>
          <p v-for="[field, message] in beside.filter(([name]) => name !== 'chains')" :key="field" class="ember" role="alert">
            {{ message }}
          </p>
          <BathTable v-if="baths.length" :baths="baths" :problems="errors" @choose="choose" />
        </div>
      </form>
    </div>
  </AppShell>
</template>

<style scoped>
@media (max-width: 52.49em) {
  .pick.pick {
    min-height: 44px;
  }
}
.cols {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
  gap: 36px;
  margin-top: 16px;
  align-items: start;
}
p,
ul {
  margin: 0;
}
.pick {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 40px;
  border-bottom: 1px solid var(--line);
  cursor: pointer;
}
.pick .muted {
  margin-left: auto;
}
input[type='checkbox'],
input[type='radio'] {
  width: 18px;
  height: 18px;
  accent-color: var(--ink);
  flex: none;
}
.school {
  display: flex;
  gap: 10px;
  padding: 9px 8px;
  border-bottom: 1px solid var(--line);
  cursor: pointer;
}
.school.on {
  background: var(--paper);
  border: 1.5px solid var(--ink);
  border-radius: 3px;
}
.names {
  display: block;
  min-width: 0;
  line-height: 1.35;
}
.names > .muted {
  display: block;
  font-size: var(--type-2);
}
em {
  font-style: normal;
  font-size: var(--type-1);
  font-weight: 680;
  border: 1.2px solid var(--ink);
  border-radius: 3px;
  padding: 0 5px;
  margin-left: 8px;
}
em.plain {
  border-color: var(--steel-2);
  color: var(--steel);
}
.steps {
  padding-left: 18px;
  margin: 8px 0;
  font-size: var(--type-2);
}
.steps li {
  padding: 1px 0;
}
.links {
  display: flex;
  gap: 16px;
  font-weight: 620;
}
.lines {
  padding: 0;
  list-style: none;
  display: grid;
  gap: 7px;
}
.hazards {
  list-style: none;
  display: grid;
  gap: 4px;
}
.outcome {
  display: grid;
  gap: 14px;
}
.lines li:first-child {
  font-weight: 620;
}
.row {
  gap: 18px;
}
@media (max-width: 71.56em) {
  .cols {
    grid-template-columns: minmax(0, 1fr);
    gap: 22px;
  }
}
</style>
