<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { ref, watch } from 'vue'
import DipDialog from '@/components/forms/DipDialog.vue'
import AppShell from '@/components/layout/AppShell.vue'
import PotShelf from '@/components/pot/PotShelf.vue'
import WorkList from '@/components/pot/WorkList.vue'
import NextPanel from '@/components/shed/NextPanel.vue'
import PotCard from '@/components/shed/PotCard.vue'
import JarShelf from '@/components/strip/JarShelf.vue'
import { placeOf } from '@/composables/nextStep'
import { useHere } from '@/composables/useHere'
import PhoneFold from '@/components/layout/PhoneFold.vue'
import { t } from '@/composables/useText'
import type { NextStep, PotPage } from '@/types/server'

/** The home of the main job: this evening, the pot and its chains, the other work at the bench, jars. */
const props = defineProps<PotPage>()
const here = useHere()
const proposed = () => props.wall.chains.filter((chain) => chain.proposed).map((chain) => chain.id)
const list = ref<number[]>(proposed())
watch(
  () => proposed().join(),
  () => (list.value = proposed()),
)
const dipping = ref(false)
function act(step: NextStep): void {
  const place = placeOf(step) ?? `/#${encodeURIComponent(step.key)}`
  // What is on this page is shown; the rest is done where it is done.
  if (place.startsWith('/pot#')) document.getElementById(place.slice(5))?.scrollIntoView({ block: 'center' })
  else router.visit(place)
}
</script>

<template>
  <AppShell :title="t('pot.title')" at="pot">
    <div class="page">
      <div class="row head">
        <h1>{{ t('pot.title') }}</h1>
        <template v-if="here.mayWrite">
          <Link v-if="pots.length" href="/pot-day" data-test="to-pot-day">{{ t('pot_day.title') }}</Link>
          <Link v-if="works.some((work) => work.what === 'strip')" href="/strip" data-test="plan-strip">{{ t('strip_plan.title') }}</Link>
          <Link href="/chains/new" data-test="add-chain">{{ t('shed.add_chain') }}</Link>
        </template>
      </div>
      <div class="cols">
        <div class="side">
          <NextPanel
            :title="t('pot.evening')"
            :empty="t('pot.evening_empty')"
            :lines="evening"
            :may-write="here.mayWrite"
            data-test="evening"
            @act="act" />
          <PotCard
            v-if="pots.length"
            v-model="list"
            :chains="wall.chains"
            :solvent-out="wall.solventOut"
            :pots="wall.pots"
            :may-write="here.mayWrite"
            @dip="dipping = true" />
          <PhoneFold v-if="works.length && here.mayWrite" :title="t('pot.works')" test="fold-works">
            <section aria-labelledby="works">
              <h2 id="works">{{ t('pot.works') }}</h2>
              <WorkList :works="works" />
            </section>
          </PhoneFold>
        </div>
        <div class="side">
          <PhoneFold :title="t('pot_form.title')" test="fold-pots">
            <PotShelf
              :pots="pots"
              :pots-out-of-use="potsOutOfUse"
              :choices="potChoices"
              :units="units"
              :forms="forms"
              :may-write="here.mayWrite" />
          </PhoneFold>
          <PhoneFold :title="t('jars.title')" test="fold-jars">
            <JarShelf
              :jars="jars"
              :jars-out-of-use="jarsOutOfUse"
              :hazards="hazards"
              :solvents="solvents"
              :roles="roles"
              :temperature="units.temperature"
              :forms="forms"
              :may-write="here.mayWrite" />
          </PhoneFold>
        </div>
      </div>
    </div>
    <DipDialog v-if="dipping && here.mayWrite" v-model="dipping" :forms="forms" :chains="wall.chains" :pots="wall.pots" :list="list" />
  </AppShell>
</template>

<style scoped>
.head {
  gap: 18px;
  align-items: baseline;
  margin-bottom: 14px;
}
.cols {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 44px;
  align-items: start;
}
.side {
  display: grid;
  gap: 30px;
}
@media (max-width: 71.56em) {
  .cols {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
