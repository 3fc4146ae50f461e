<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { mdiChevronDown, mdiChevronUp, mdiDotsHorizontal } from '@mdi/js'
import { computed } from 'vue'
import ChainRun from '@/components/chain/ChainRun.vue'
import PushButton from '@/components/layout/PushButton.vue'
import WearRule from '@/components/chain/WearRule.vue'
import HangingChain from './HangingChain.vue'
import NotCounted from './NotCounted.vue'
import MoreMenu from '@/components/layout/MoreMenu.vue'
import { chainDrag } from '@/composables/useChainDrag'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'
import type { ChainView, RailView } from '@/types/server'

export type RailVerb = 'swap' | 'ride' | 'topup' | 'measure' | 'loud' | 'catch_up' | 'correct'
const props = defineProps<{ rail: RailView; chosen: boolean; mayWrite: boolean; folded: boolean; mayFold: boolean }>()
const emit = defineEmits<{ verb: [verb: RailVerb]; grab: [event: PointerEvent, chain: ChainView]; fold: [] }>()
const here = useHere()
const short = () =>
  props.rail.leftNumber === null
    ? (props.rail.fitted?.word ?? t('shed.none_on'))
    : /^[\d.,]+$/.test(props.rail.leftNumber)
      ? `${props.rail.leftNumber} ${here.value.distanceUnit}`
      : props.rail.leftNumber
const verbs = (): Exclude<RailVerb, 'catch_up' | 'correct'>[] =>
  props.rail.fitted
    ? [...(props.rail.hanging.length ? (['swap'] as const) : []), 'ride', 'topup', 'measure', 'loud']
    : [...(props.rail.hanging.length ? (['swap'] as const) : []), 'ride']
const others = computed(() => [
  { title: t('catch_up.title'), test: `catch_up-${props.rail.name}`, act: () => emit('verb', 'catch_up') },
  { title: t('correct.title'), test: `correct-${props.rail.name}`, act: () => emit('verb', 'correct') },
])
</script>

<template>
  <section v-if="folded" class="line" :data-test="`rail-${rail.name}`">
    <button type="button" aria-expanded="false" :data-test="`unfold-${rail.name}`" @click="emit('fold')">
      <span class="wide">{{ rail.name }}</span>
      <ChainRun
        v-if="rail.fitted"
        class="coat"
        :coat="rail.fitted.coat"
        :left="rail.fitted.left"
        :unsure="rail.fitted.unsure"
        aria-hidden="true" />
      <span v-else class="coat muted">–</span>
      <b :class="{ ember: rail.until.due }">{{ short() }}</b>
      <NotCounted class="mark" :bike="rail.id" />
      <svg width="20" height="20" viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiChevronDown" fill="currentColor" /></svg>
    </button>
  </section>
  <section v-else class="rail" :class="{ chosen }" :aria-labelledby="`bike-${rail.id}`" :data-test="`rail-${rail.name}`">
    <div
      class="bike"
      :class="{ target: chainDrag.chain !== null, over: chainDrag.over === `bike-${rail.id}` }"
      :data-drop="`bike-${rail.id}`"
      :data-test="`bike-${rail.name}`">
      <div class="head">
        <h2 :id="`bike-${rail.id}`" class="name wide">
          <Link v-if="mayWrite" :href="`/bikes/${rail.id}`"
            ><span class="sr">{{ t('shed.settings_of') }} </span>{{ rail.name }}</Link
          ><template v-else>{{ rail.name }}</template>
        </h2>
        <MoreMenu v-if="mayWrite" v-slot="{ button }" :items="others">
          <PushButton
            v-bind="button"
            :icon="mdiDotsHorizontal"
            bare
            class="more"
            :aria-label="`${t('shed.more')} ${rail.name}`"
            :data-test="`more-${rail.name}`" />
        </MoreMenu>
        <PushButton
          v-if="mayFold"
          :icon="mdiChevronUp"
          bare
          :aria-label="t('shed.fold', { bike: rail.name })"
          aria-expanded="true"
          :data-test="`fold-${rail.name}`"
          @click="emit('fold')" />
      </div>
      <p class="about muted">
        <b v-if="rail.rider" data-test="rider">{{ rail.rider }}</b>{{ rail.rider ? `, ${rail.about}` : rail.about }}
      </p>
      <NotCounted :bike="rail.id" />
      <template v-if="rail.fitted">
        <p class="left">
          <Link :href="`/chains/${rail.fitted.id}?why=left`" class="figure" :data-test="`left-${rail.name}`"
            ><span v-if="rail.leftNumber !== null" class="big">{{ rail.leftNumber }}</span
            ><span class="unit">{{
              rail.leftNumber === null ? t(rail.fitted.unsure ? 'shed.unsure' : 'shed.no_wax') : rail.leftWords
            }}</span></Link
          >
        </p>
        <p v-if="rail.alsoLeft" class="until" data-test="also-left">{{ rail.alsoLeft }}</p>
        <p class="until" :class="{ ember: rail.until.due }">
          {{ rail.until.before }} <b>{{ rail.until.stressed }}</b>{{ rail.until.after }}
        </p>
        <Link
          :href="`/chains/${rail.fitted.id}`"
          class="run"
          :aria-label="`${rail.fitted.name}, ${t('shed.fitted')}: ${rail.fitted.word}`"
          :data-test="`fitted-${rail.name}`"
          :data-chain="rail.fitted.label"
          ><ChainRun :coat="rail.fitted.coat" :left="rail.fitted.left" :unsure="rail.fitted.unsure"
        /></Link>
        <div class="measured">
          <WearRule :wear="rail.fitted.wear" :width="172" /><span class="muted">{{ rail.fitted.wear.of }}</span
          ><b v-if="rail.fitted.wear.due" :data-test="`due-${rail.fitted.name}`">{{ t('shed.measure_due') }}</b>
        </div>
      </template>
      <p v-else class="until">{{ rail.until.before }}</p>
      <div v-if="mayWrite" class="verbs">
        <PushButton
          v-for="verb in verbs()"
          :key="verb"
          :main="verb === verbs()[0]"
          :aria-label="`${t(`verbs.${verb}`)} ${rail.name}`"
          :data-test="`${verb}-${rail.name}`"
          @click="emit('verb', verb)"
          >{{ t(`verbs.${verb}`) }}</PushButton
        >
      </div>
    </div>
    <div class="wall">
      <div class="wood" aria-hidden="true" />
      <ul v-if="rail.hanging.length" :aria-label="`${t('shed.rail')} ${rail.name}`">
        <HangingChain
          v-for="chain in rail.hanging"
          :key="chain.id"
          :chain="chain"
          :draggable="mayWrite"
          @grab="emit('grab', $event, chain)" />
      </ul>
      <p v-else class="none muted">
        {{ t('shed.hanging_none') }}
        <Link v-if="mayWrite" :href="`/chains/new?bike=${rail.id}`">{{ t('shed.add_chain') }}</Link>
      </p>
    </div>
  </section>
</template>

<style scoped>
.rail {
  display: grid;
  grid-template-columns: 306px minmax(0, 1fr);
  border-bottom: 1px solid var(--line);
  padding: 12px 0 14px 24px;
  position: relative;
}
.line {
  border-bottom: 1px solid var(--line);
}
.line button {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 92px minmax(64px, auto) 20px;
  gap: 8px;
  align-items: center;
  width: 100%;
  min-height: 52px;
  padding: 4px 14px;
  font: inherit;
  color: inherit;
  text-align: left;
  background: none;
  border: 0;
  cursor: pointer;
}
.line .wide {
  font-size: var(--type-4);
  overflow-wrap: anywhere;
}
.line b {
  text-align: right;
}
.line .mark {
  grid-column: 1 / -1;
  justify-self: start;
}
.rail.chosen::before {
  content: '';
  position: absolute;
  left: 0;
  top: 14px;
  bottom: 14px;
  width: 4px;
  background: var(--ink);
}
.bike {
  padding-right: 12px;
  border-radius: 3px;
}
.bike.target {
  outline: 1.5px dashed var(--steel-2);
  outline-offset: 4px;
}
.bike.over {
  outline: 2.5px solid var(--ready);
  outline-offset: 4px;
}
.name {
  font-size: var(--type-5);
  color: var(--ink);
}
.name a {
  text-decoration: none;
}
.name a:hover {
  text-decoration: underline;
}
p {
  margin: 0;
}
.about {
  font-size: var(--type-2);
  margin-top: 1px;
}
.left {
  margin-top: 10px;
}
.figure {
  text-decoration: none;
  display: inline-flex;
  align-items: baseline;
  gap: 6px;
}
.figure:hover .unit {
  text-decoration: underline;
}
.big {
  font-size: var(--type-7);
}
.unit {
  font-weight: 560;
  color: var(--steel);
}
.until {
  font-size: var(--type-2);
  margin: 3px 0 8px;
}
.until b {
  font-weight: 680;
}
.run {
  display: block;
  width: 276px;
  max-width: 100%;
  border-radius: 3px;
}
.measured {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin-top: 4px;
  font-size: var(--type-1);
}
.verbs {
  display: flex;
  gap: 5px;
  margin-top: 10px;
  flex-wrap: wrap;
}
.verbs .push {
  padding: 0 8px;
  --push-height: 26px;
  font-size: var(--type-2);
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.head .more {
  margin: -8px 0;
}
.wall {
  padding: 2px 16px 0 6px;
  min-width: 0;
}
.wood {
  height: 7px;
  border-radius: 2px;
  background: linear-gradient(var(--wood-2) 2px, var(--wood) 2px);
  margin-bottom: -4px;
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 0 6px;
  padding: 0;
  margin: 0;
  row-gap: 12px;
}
.none {
  padding: 14px 12px;
}
@media (max-width: 71.56em) {
  .rail {
    grid-template-columns: 1fr;
    padding-right: 14px;
  }
  .wall {
    margin-top: 16px;
    padding: 0;
  }
}
@media (max-width: 52.49em) {
  .head {
    gap: 4px;
  }
  .head .name {
    flex: 1;
  }
  .head .more {
    margin: 0;
  }
  .rail {
    padding-left: 14px;
  }
  .run {
    padding-block: 9px;
  }
  .verbs .push {
    --push-height: 44px;
    padding: 0 11px;
    font-size: var(--type-2);
  }
}
</style>
