<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { onMounted, ref } from 'vue'
import MeasureDialog from '@/components/forms/MeasureDialog.vue'
import PushButton from '@/components/layout/PushButton.vue'
import RetireDialog from '@/components/forms/RetireDialog.vue'
import BikeWear from '@/components/wear/BikeWear.vue'
import ConnectDevice from '@/components/devices/ConnectDevice.vue'
import ExpectedDialog from '@/components/wear/ExpectedDialog.vue'
import LearnedFactors from '@/components/wear/LearnedFactors.vue'
import InstrumentDialog from '@/components/wear/InstrumentDialog.vue'
import InTurn from '@/components/layout/InTurn.vue'
import EmptyState from '@/components/layout/EmptyState.vue'
import AppShell from '@/components/layout/AppShell.vue'
import { useHere } from '@/composables/useHere'
import { useInTurn } from '@/composables/useInTurn'
import { useOneOpen } from '@/composables/useOneOpen'
import PhoneFold from '@/components/layout/PhoneFold.vue'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { GaugePage, KeptInstrument } from '@/types/server'

const props = defineProps<GaugePage>()
const here = useHere()
const inTurn = useInTurn(() => props.bikes, 1)
const { open, shown } = useOneOpen<'measure' | 'retire' | 'instrument' | 'expected'>()
const [measuring, retiring, describing, expecting] = [shown('measure'), shown('retire'), shown('instrument'), shown('expected')]
const chain = ref<{ id: number; name: string } | null>(null)
const instrument = ref<KeptInstrument | null>(null)
function about(name: 'measure' | 'retire', one: { id: number; name: string }): void {
  chain.value = one
  open.value = name
}
function describe(one: KeptInstrument | null): void {
  instrument.value = one
  open.value = 'instrument'
}
const answer = (bike: number, accept: boolean) => write('post', `/bikes/${bike}/advice`, { accept })
onMounted(() => {
  // The Shed sends here with the chain that is due.
  const id = Number(new URLSearchParams(window.location.search).get('measure'))
  const due = props.bikes.flatMap((bike) => bike.chains).find((one) => one.id === id)
  if (due && here.value.mayWrite) about('measure', due)
})
</script>

<template>
  <AppShell :title="t('gauge.title')" at="gauge">
    <div class="page">
      <h1>{{ t('gauge.title') }}</h1>
      <p v-if="bikes.length" class="muted intro">
        {{ t('gauge.text') }} <Link href="/gauge/how-right" data-test="how-right">{{ t('how.link') }}</Link>
      </p>
      <div class="cols">
        <div>
          <PhoneFold v-for="(bike, i) in inTurn" :key="bike.id" :title="bike.name" :open="i === 0" :test="`fold-${bike.name}`">
            <template #mark>
              <b v-if="bike.chains.some((one) => one.verdict === 'retire')" class="ember">{{ t('gauge.past') }}</b>
              <b v-else-if="bike.chains.some((one) => one.due)">{{ t('gauge.due') }}</b>
            </template>
            <BikeWear
              :bike="bike"
              :may-write="here.mayWrite"
              @measure="about('measure', $event)"
              @retire="about('retire', $event)"
              @advice="answer(bike.id, $event)" />
          </PhoneFold>
          <EmptyState v-if="!bikes.length" :text="t('gauge.none')" href="/bikes/new" :verb="t('bike.new')" />
        </div>
        <div class="beside">
          <InTurn>
            <PhoneFold v-if="learned" :title="t('gauge.learned')" test="fold-learned">
              <LearnedFactors :learned="learned" :may-write="here.mayWrite" />
            </PhoneFold>
            <PhoneFold :title="t('gauge.instruments')" test="fold-instruments"
              ><aside>
                <section aria-labelledby="instruments">
                  <div class="row between">
                    <h2 id="instruments">{{ t('gauge.instruments') }}</h2>
                    <PushButton v-if="here.mayWrite" data-test="add-instrument" @click="describe(null)">{{ t('gauge.add') }}</PushButton>
                  </div>
                  <p class="muted small">{{ t('gauge.instruments_text') }}</p>
                  <ul class="plain">
                    <li v-for="one in instruments" :key="String(one.id)">
                      <span
                        ><b>{{ one.name }}</b
                        ><span class="muted small">{{ t(`measure.${one.kind}`) }}, {{ one.about }}</span></span
                      >
                      <PushButton
                        v-if="here.mayWrite"
                        :aria-label="`${t('verbs.edit')}: ${one.name}`"
                        :data-test="`edit-${one.name}`"
                        @click="describe(one)"
                        >{{ t('verbs.edit') }}</PushButton
                      >
                    </li>
                  </ul>
                </section>
                <section aria-labelledby="expected">
                  <div class="row between">
                    <h2 id="expected">{{ t('gauge.expected') }}</h2>
                    <PushButton v-if="here.mayWrite" data-test="change-expected" @click="open = 'expected'">{{
                      t('gauge.change')
                    }}</PushButton>
                  </div>
                  <ul>
                    <li v-for="point in expected.points" :key="point.interval">{{ point.text }}</li>
                  </ul>
                  <p class="muted small">{{ expected.house ? t('gauge.expected_text') : t('settings.own') }}</p>
                  <p class="small" data-test="own-chains">{{ expected.own }}</p>
                </section>
                <section v-if="here.mayWrite" aria-labelledby="connected">
                  <h2 id="connected">{{ t('gauge.connected') }}</h2>
                  <ConnectDevice
                    :devices="gauges"
                    url="/gauges"
                    :name-label="t('gauge.device_name')"
                    :verb="t('gauge.connect')"
                    example='{"readings": [{"sequence": 1, "value_pct": 0.32}]}'
                    reload="gauges"
                    test="gauge" />
                </section></aside
            ></PhoneFold>
          </InTurn>
        </div>
      </div>
    </div>
    <template v-if="here.mayWrite">
      <template v-if="chain">
        <MeasureDialog v-if="measuring" v-model="measuring" :forms="forms" :chain="chain" @retire="open = 'retire'" />
        <RetireDialog v-if="retiring" v-model="retiring" :forms="forms" :chain="chain" />
      </template>
      <InstrumentDialog v-if="describing" v-model="describing" :instrument="instrument" />
      <ExpectedDialog v-if="expecting" v-model="expecting" :points="expected.points" :unit="unit" />
    </template>
  </AppShell>
</template>

<style scoped>
.intro {
  margin: 4px 0 6px;
}
.cols {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 320px;
  gap: 36px;
}
aside {
  display: grid;
  gap: 26px;
}
.beside {
  display: grid;
  gap: 26px;
  align-content: start;
  padding-top: 16px;
}
section p {
  margin: 4px 0 6px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
li span span {
  display: block;
}
@media (max-width: 71.56em) {
  .cols {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
