<script setup lang="ts">
import LineChart from '@/components/charts/LineChart.vue'
import AppShell from '@/components/layout/AppShell.vue'
import PromiseGrade from '@/components/plan/PromiseGrade.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { HowRightPage } from '@/types/server'

/** How Dripel's own promises turned out, and what it would change because of it. */
defineProps<HowRightPage>()
const here = useHere()
const answer = (accept: boolean) => write('post', '/margin', { accept })
const fit = (pot: number, accept: boolean) => write('post', `/pots/${pot}/fit`, { accept })
const factor = (condition: string, accept: boolean) => write('post', '/factors', { condition, accept, past: false })
</script>

<template>
  <AppShell :title="t('how.title')" at="gauge">
    <div class="page">
      <h1>{{ t('how.title') }}</h1>
      <p class="muted intro">{{ how ? how.intro : t('how.working') }}</p>
      <div v-if="how && how.grades.length" class="cols">
        <div class="beside">
          <section aria-labelledby="promises">
            <h2 id="promises">{{ t('how.promises') }}</h2>
            <PromiseGrade v-for="grade in how.grades" :key="grade.kind" :grade="grade" />
          </section>
          <section v-if="how.chart" aria-labelledby="likely">
            <h2 id="likely">{{ t('how.likely') }}</h2>
            <LineChart :chart="how.chart" :high="240" />
          </section>
        </div>
        <div class="beside">
          <section aria-labelledby="change" data-test="margin">
            <h2 id="change">{{ t('how.change') }}</h2>
            <template v-if="how.margin">
              <p class="say">{{ how.margin.text }}</p>
              <p class="muted small">{{ how.margin.why }}</p>
              <div v-if="here.mayWrite" class="row">
                <PushButton data-test="take-margin" @click="answer(true)">{{ how.margin.take }}</PushButton>
                <PushButton bare data-test="decline-margin" @click="answer(false)">{{ t('how.decline') }}</PushButton>
              </div>
            </template>
            <template v-for="pot in how.pots" :key="pot.pot">
              <p class="say">{{ pot.text }}</p>
              <p class="muted small">{{ pot.why }}</p>
              <div v-if="here.mayWrite" class="row">
                <PushButton data-test="take-fit" @click="fit(pot.pot, true)">{{ pot.take }}</PushButton>
                <PushButton bare data-test="decline-fit" @click="fit(pot.pot, false)">{{ t('how.decline') }}</PushButton>
              </div>
            </template>
            <template v-for="one in how.factors" :key="one.condition">
              <p class="say">{{ one.text }}</p>
              <p class="muted small">{{ one.why }}</p>
              <div v-if="here.mayWrite" class="row">
                <PushButton data-test="take-factor" @click="factor(one.condition, true)">{{ one.take }}</PushButton>
                <PushButton bare data-test="decline-factor" @click="factor(one.condition, false)">{{ t('how.decline') }}</PushButton>
              </div>
            </template>
            <p v-if="!how.margin && !how.pots.length && !how.factors.length" class="muted small">{{ t('how.no_change') }}</p>
            <ul v-if="how.answers.length" class="plain small" data-test="answers">
              <li v-for="text in how.answers" :key="text">{{ text }}</li>
            </ul>
          </section>
          <section aria-labelledby="worst">
            <h2 id="worst">{{ t('how.worst') }}</h2>
            <ol v-if="how.worst.length" class="plain" data-test="worst">
              <li v-for="one in how.worst" :key="one.when + one.text">
                <span>{{ one.text }}</span>
                <span class="muted small">{{ one.when }}. {{ one.why }}</span>
              </li>
            </ol>
            <p v-else class="muted small">{{ t('how.no_worst') }}</p>
          </section>
        </div>
      </div>
      <section v-if="replay" class="again" aria-labelledby="again" data-test="replay">
        <h2 id="again">{{ t('how.replay') }}</h2>
        <p class="say">{{ replay.text }}</p>
        <p class="muted small">{{ t('how.replay_text') }}</p>
        <div class="scroll" tabindex="0" role="region" :aria-label="t('how.replay')">
          <table class="plain">
            <thead>
              <tr>
                <td />
                <th v-for="column in replay.columns" :key="column" scope="col">{{ column }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in replay.rows" :key="row.name">
                <th scope="row">{{ row.name }}</th>
                <td v-for="(cell, i) in row.cells" :key="i">{{ cell }}</td>
              </tr>
            </tbody>
          </table>
        </div>
      </section>
    </div>
  </AppShell>
</template>

<style scoped>
.intro {
  max-width: 70ch;
}
.cols {
  display: grid;
  grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
  gap: 36px;
}
.beside {
  display: grid;
  gap: 26px;
  align-content: start;
}
.say {
  margin: 0 0 4px;
}
.plain {
  list-style: none;
  padding: 0;
  margin: 8px 0 0;
}
ol.plain li {
  display: grid;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
.again th,
.again td {
  padding: 6px 0 6px 12px;
  text-align: right;
  white-space: nowrap;
  font-variant-numeric: tabular-nums;
}
.again th[scope='row'] {
  padding-left: 0;
  text-align: left;
  border-bottom: 1px solid var(--line);
}
.scroll {
  overflow-x: auto;
}
.again {
  margin-top: 30px;
}
@media (max-width: 959px) {
  .cols {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
