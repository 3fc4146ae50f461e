<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import HookTag from '@/components/chain/HookTag.vue'
import EarCycles from './EarCycles.vue'
import PartLife from './PartLife.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'
import type { WornBike, WornChain } from '@/types/server'

/** One bike: its chains on one scale against one another, the limit and the cassette; what to ride next, when to buy. */
const props = defineProps<{ bike: WornBike; mayWrite: boolean }>()
const emit = defineEmits<{ measure: [chain: WornChain]; retire: [chain: WornChain]; advice: [accept: boolean] }>()
const WIDE = 420
const x = (pct: number) => 2 + (WIDE - 6) * Math.min(1, pct / props.bike.top)
</script>

<template>
  <section class="bike" :aria-labelledby="`worn-${bike.id}`" :data-test="`worn-${bike.name}`">
    <div class="head">
      <h2 :id="`worn-${bike.id}`" class="name wide">
        <Link v-if="mayWrite" :href="`/bikes/${bike.id}`">{{ bike.name }}</Link><template v-else>{{ bike.name }}</template>
      </h2>
      <span class="muted small">{{ bike.school }}</span>
    </div>
    <p v-if="!bike.chains.length" class="muted">{{ t('gauge.no_chain') }}</p>
    <ul v-else :aria-label="t('gauge.axis', { bike: bike.name })">
      <li v-for="chain in bike.chains" :key="chain.id" :data-test="`wear-${chain.name}`" :data-verdict="chain.verdict">
        <Link :href="`/chains/${chain.id}`" class="label" :aria-label="chain.name"
          ><HookTag :label="chain.label" :ready="chain.ready"
        /></Link>
        <svg :viewBox="`0 0 ${WIDE} 30`" preserveAspectRatio="none" role="img" :aria-label="`${chain.name}: ${chain.now}`">
          <line x1="2" y1="22" :x2="WIDE - 4" y2="22" class="ground" vector-effect="non-scaling-stroke" />
          <rect
            v-if="chain.p10 !== null && chain.p90 !== null"
            :x="x(chain.p10)"
            y="9"
            :width="Math.max(3, x(chain.p90) - x(chain.p10))"
            height="13"
            class="band" />
          <line
            v-if="chain.mean !== null"
            :x1="x(chain.mean)"
            y1="5"
            :x2="x(chain.mean)"
            y2="25"
            class="mean"
            vector-effect="non-scaling-stroke" />
          <line
            v-for="other in bike.limits.filter((one) => one.at <= bike.top)"
            :key="other.at"
            :x1="x(other.at)"
            y1="17"
            :x2="x(other.at)"
            y2="27"
            class="other"
            vector-effect="non-scaling-stroke" />
          <line :x1="x(bike.limit)" y1="0" :x2="x(bike.limit)" y2="30" class="limit" vector-effect="non-scaling-stroke" />
        </svg>
        <span class="say">
          <b :class="{ ember: chain.verdict === 'retire' }"
            >{{ chain.now }}<template v-if="chain.verdict === 'retire'">, {{ t('gauge.past') }}</template
            ><template v-else-if="chain.due">, {{ t('gauge.due') }}</template></b
          >
          <span class="muted small"
            >{{ chain.km }}<template v-if="chain.fitted">, {{ t('gauge.on_bike') }}</template
            >, {{ chain.last }}</span
          >
        </span>
        <span class="act">
          <template v-if="mayWrite">
            <PushButton
              v-if="chain.verdict === 'retire'"
              :aria-label="`${t('gauge.retire')}: ${chain.name}`"
              :data-test="`retire-${chain.name}`"
              @click="emit('retire', chain)"
              >{{ t('gauge.retire') }}</PushButton
            >
            <PushButton
              :main="chain.due"
              :aria-label="`${t('gauge.measure')}: ${chain.name}`"
              :data-test="`measure-${chain.name}`"
              @click="emit('measure', chain)"
              >{{ t('gauge.measure') }}</PushButton
            >
          </template>
        </span>
      </li>
    </ul>
    <p v-if="bike.chains.length" class="scale muted">
      <span>0 %</span
      ><span class="ember" :style="{ left: `${(100 * x(bike.limit)) / WIDE}%` }">{{ t('gauge.limit', { limit: bike.limitText }) }}</span>
      <span
        v-for="other in bike.limits.filter((one) => one.at <= bike.top && Math.abs(one.at - bike.limit) > bike.top * 0.16)"
        :key="other.at"
        :title="t('gauge.other_school')"
        :style="{ left: `${(100 * x(other.at)) / WIDE}%` }"
        >{{ other.text }}</span
      >
    </p>
    <dl>
      <div v-if="bike.even">
        <dt>{{ t('gauge.even') }}</dt>
        <dd data-test="even">{{ bike.even }}</dd>
      </div>
      <div v-if="bike.supply">
        <dt>{{ t('gauge.supply') }}</dt>
        <dd data-test="supply">{{ bike.supply }}</dd>
      </div>
      <div v-if="bike.ear" data-test="ear">
        <dt>{{ t('gauge.ear') }}</dt>
        <dd>
          <p v-for="sentence in bike.ear.sentences" :key="sentence" class="said">{{ sentence }}</p>
          <details>
            <summary>{{ t('gauge.ear_show') }}</summary>
            <EarCycles :ear="bike.ear" />
          </details>
        </dd>
      </div>
      <div v-if="bike.advice" data-test="advice">
        <dt>{{ t('gauge.advice') }}</dt>
        <dd>
          <template v-if="bike.advice.open"
            ><b>{{ bike.advice.text }}</b> {{ bike.advice.reason }} {{ bike.advice.now }}
            <span v-if="mayWrite" class="answer">
              <PushButton data-test="accept" @click="emit('advice', true)">{{ t('gauge.accept') }}</PushButton>
              <PushButton bare data-test="decline" @click="emit('advice', false)">{{ t('gauge.decline') }}</PushButton>
            </span></template
          >
          <template v-else>{{ bike.advice.now }} {{ bike.advice.reason }}</template>
        </dd>
      </div>
      <div>
        <dt>{{ t('gauge.parts') }}</dt>
        <dd>
          <PartLife v-for="part in bike.parts" :key="part.id" :part="part" />
          <template v-if="!bike.parts.length">{{ `${t('gauge.no_parts')} ` }}</template>
          <Link v-if="mayWrite && !bike.parts.length" :href="`/bikes/${bike.id}`">{{ t('part_form.add') }}</Link>
        </dd>
      </div>
    </dl>
  </section>
</template>

<style scoped>
.bike {
  padding: 16px 0 18px;
  border-bottom: 1.5px solid var(--ink);
}
.head {
  display: flex;
  gap: 12px;
  align-items: baseline;
  margin-bottom: 6px;
}
.name {
  font-size: var(--type-5);
  color: var(--ink);
}
.name a {
  text-decoration: none;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
/* A chain, its place on the scale, what is said of it, what is done with it; the scale below stands in its column. */
.bike {
  --name: 34px;
  --say: 324px;
  --act: 160px;
  --gap: 12px;
}
li {
  display: grid;
  grid-template-columns: var(--name) minmax(120px, 1fr) var(--say) var(--act);
  gap: var(--gap);
  align-items: center;
  border-bottom: 1px solid var(--line);
  min-height: 46px;
  padding: 2px 0;
}
.label {
  display: grid;
  min-height: 44px;
  align-content: center;
}
li > svg {
  width: 100%;
  height: 44px;
}
.ground {
  stroke: var(--steel-2);
}
.band {
  fill: var(--steel-2);
  opacity: 0.6;
}
.mean {
  stroke: var(--ink);
  stroke-width: 2.5;
}
.other {
  stroke: var(--steel-2);
  stroke-dasharray: 2 2;
}
.limit {
  stroke: var(--ember);
  stroke-width: 2;
}
.say {
  line-height: 1.25;
}
.say span {
  display: block;
}
.act {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: flex-end;
}
.scale {
  position: relative;
  margin: 2px 0 8px calc(var(--name) + var(--gap));
  width: calc(100% - var(--name) - var(--say) - var(--act) - 3 * var(--gap));
  min-width: 120px;
  font-size: var(--type-2);
}
/* Each but 0 % stands under its place on the scale. */
.scale span + span {
  position: absolute;
  transform: translateX(-50%);
  white-space: nowrap;
}
.scale .ember {
  font-weight: 620;
}
dl {
  margin: 10px 0 0;
}
dl div {
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: 12px;
  padding: 4px 0;
}
dt {
  color: var(--steel);
}
dd {
  margin: 0;
}
.said {
  margin: 0 0 2px;
}
.answer {
  white-space: nowrap;
}
@media (max-width: 52.49em) {
  /* Its line says it. */
  .head .name {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  li {
    grid-template-columns: 34px minmax(0, 1fr) auto;
    padding: 4px 0;
  }
  li > svg {
    grid-column: 2 / 4;
    grid-row: 1;
  }
  .label {
    grid-row: 1;
  }
  .say {
    grid-column: 1 / 3;
    grid-row: 2;
  }
  .act {
    grid-column: 3;
    grid-row: 2;
    flex-direction: column;
    align-items: flex-end;
    gap: 2px;
  }
  .act :deep(.push) {
    --push-height: 44px;
  }
  .scale {
    display: none;
  }
  dl div {
    grid-template-columns: 1fr;
    gap: 0;
  }
}
</style>
