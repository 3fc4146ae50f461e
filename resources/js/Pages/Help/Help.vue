<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { computed } from 'vue'
import LoopPicture from '@/components/help/LoopPicture.vue'
import AppShell from '@/components/layout/AppShell.vue'
import KeyList from '@/components/layout/KeyList.vue'
import PageTabs from '@/components/layout/PageTabs.vue'
import { useHere } from '@/composables/useHere'
import { usePart } from '@/composables/usePart'
import { t } from '@/composables/useText'
import type { HelpPage } from '@/types/server'

/** The loop in five pictures, the words, how figures are made, safety, keys. */
defineProps<HelpPage>()
const here = useHere()
const parts = ['loop', 'words', 'figures', 'safety', 'keys'] as const
const { part, choose } = usePart(parts)
const tabs = computed(() => parts.map((one) => ({ href: `#${one}`, title: t(`help.part.${one}`), test: one })))
const places: Record<string, string> = { ride: '/rides', swap: '/', measure: '/gauge', pot: '/pot', hang: '/ahead' }
const names: Record<string, 'rides' | 'shed' | 'gauge' | 'pot' | 'ahead'> = {
  ride: 'rides',
  swap: 'shed',
  measure: 'gauge',
  pot: 'pot',
  hang: 'ahead',
}
</script>

<template>
  <AppShell :title="t('help.title')" at="help">
    <div class="page">
      <PageTabs :title="t('help.title')" :label="t('help.parts')" :tabs="tabs" :at="part" @choose="choose" />
      <template v-if="part === 'loop'">
        <p class="lead">{{ t('help.lead') }}</p>
        <ol class="loop">
          <li v-for="step in loop" :key="step.key">
            <LoopPicture :step="step.key" />
            <h2>{{ step.title }}</h2>
            <p>{{ step.text }}</p>
            <Link :href="places[step.key] ?? '/'">{{ t('help.open', { page: t(`nav.${names[step.key] ?? 'shed'}`) }) }}</Link>
          </li>
        </ol>
        <p v-if="here.mayWrite">
          <Link href="/?steps" data-test="first-steps">{{ t('help.first_steps') }}</Link>
        </p>
      </template>
      <template v-else-if="part === 'words'">
        <div class="pair">
          <section v-for="group in words" :key="group.title">
            <h2>{{ group.title }}</h2>
            <dl>
              <div v-for="word in group.words" :key="word.key">
                <dt>{{ word.title }}</dt>
                <dd>{{ word.text }}</dd>
              </div>
            </dl>
          </section>
        </div>
      </template>
      <template v-else-if="part === 'figures'">
        <p class="lead">{{ t('help.figures_lead') }}</p>
        <dl>
          <div v-for="figure in figures" :key="figure.title">
            <dt>{{ figure.title }}</dt>
            <dd>
              {{ figure.formula }} <span class="muted">{{ figure.source }}</span>
            </dd>
          </div>
        </dl>
        <details v-for="one in more" :key="one.key">
          <summary>{{ one.title }}</summary>
          <p>{{ one.text }}</p>
        </details>
      </template>
      <ul v-else-if="part === 'safety'" class="safety">
        <li v-for="one in safety" :key="one" class="caution">{{ one }}</li>
      </ul>
      <KeyList v-else />
    </div>
  </AppShell>
</template>

<style scoped>
.lead {
  max-width: 720px;
  margin: 0 0 18px;
}
.loop {
  list-style: none;
  margin: 0 0 18px;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: 24px;
}
.loop h2 {
  font-size: var(--type-4);
  color: var(--ink);
}
.loop p {
  margin: 4px 0 8px;
}
.pair {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 22px 44px;
}
dl {
  margin: 6px 0 18px;
}
dl div {
  padding: 7px 0;
  border-bottom: 1px solid var(--line);
}
dt {
  font-weight: 680;
}
dd {
  margin: 0;
}
details p {
  max-width: 820px;
  margin: 0 0 12px;
}
.safety {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 10px;
  max-width: 820px;
}
.safety li {
  font-size: var(--type-4);
}
@media (max-width: 71.56em) {
  .loop {
    grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  }
}
@media (max-width: 52.49em) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
