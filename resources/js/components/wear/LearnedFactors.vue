<script setup lang="ts">
import BandLine from '@/components/charts/BandLine.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { LearnedView } from '@/types/server'

/** What a kilometre in each condition costs, learned by ear: its band beside what is set, and what is offered. */
defineProps<{ learned: LearnedView; mayWrite: boolean }>()
const take = (condition: string, past: boolean) => write('post', '/factors', { condition, accept: true, past })
const decline = (condition: string) => write('post', '/factors', { condition, accept: false })
</script>

<template>
  <section aria-labelledby="learned" data-test="learned">
    <h2 id="learned">{{ t('gauge.learned') }}</h2>
    <p class="muted small">{{ t('gauge.learned_text') }} {{ learned.text }}</p>
    <ul>
      <li v-for="row in learned.rows" :key="row.condition" :data-test="`learned-${row.condition}`">
        <div class="head">
          <b>{{ row.name }}</b>
          <span class="small">{{ row.learned }}</span>
        </div>
        <BandLine
          :low="row.band.low"
          :high="row.band.high"
          :at="row.band.at"
          :mark="row.band.now"
          :label="`${row.name}: ${row.learned}. ${t('gauge.learned_now', { factor: row.now })}`" />
        <p class="small">
          <span class="muted">{{ t('gauge.learned_now', { factor: row.now }) }}</span> {{ row.text }}
        </p>
        <div v-if="row.offer && mayWrite" class="row">
          <PushButton :aria-label="`${row.name}: ${t('gauge.learned_today', { factor: row.offer })}`" @click="take(row.condition, false)">{{
            t('gauge.learned_today', { factor: row.offer })
          }}</PushButton>
          <PushButton bare :aria-label="`${row.name}: ${t('gauge.learned_past')}`" @click="take(row.condition, true)">{{
            t('gauge.learned_past')
          }}</PushButton>
          <PushButton bare :aria-label="`${row.name}: ${t('how.decline')}`" @click="decline(row.condition)">{{
            t('how.decline')
          }}</PushButton>
        </div>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 6px 0 0;
}
li {
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
.head {
  display: flex;
  justify-content: space-between;
  gap: 10px;
}
p {
  margin: 2px 0 4px;
}
</style>
