<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import ChainRun from '@/components/chain/ChainRun.vue'
import PushButton from '@/components/layout/PushButton.vue'
import StepTimer from '@/components/guided/StepTimer.vue'
import AppShell from '@/components/layout/AppShell.vue'
import { useHere } from '@/composables/useHere'
import { nowHere } from '@/composables/nowHere'
import { t } from '@/composables/useText'
import { swap, write } from '@/composables/useWrite'
import type { WetPage, WetWayView } from '@/types/server'

/** After a wet ride: dry it today, then wax, another chain or the bottle before the next ride. */
const props = defineProps<WetPage>()
const here = useHere()
const problem = ref<string | null>(null)
const gone = ref(0)
const since = Date.now()
useIntervalFn(() => (gone.value = Math.floor((Date.now() - since) / 1000)), 1000)
const left = computed(() => (props.dry.seconds === null ? null : props.dry.seconds - gone.value))
const at = nowHere
const onError = (errors: Record<string, string>) => (problem.value = Object.values(errors)[0] ?? null)
const dried = () => write('post', `/chains/${props.chain.id}/cares`, { ...at(), care: 'dried' }, { onError })
function go(way: WetWayView): void {
  if (way.way === 'topup') router.visit(`/chains/${props.chain.id}/drip`)
  else if (way.way === 'dip') router.visit(`/pot-day?chains[]=${props.chain.id}`)
  else swap(props.bike, way.swapTo, at(), { preserveScroll: false, onError, onSuccess: () => void (props.dry.done && router.visit('/')) })
}
</script>

<template>
  <AppShell :title="title" at="rides">
    <div class="page path">
      <h1>{{ title }}</h1>
      <p class="muted">{{ ride }}</p>
      <ChainRun class="run" :coat="chain.coat" :left="chain.left" :unsure="false" />
      <p class="caution">{{ why }}</p>
      <p v-if="problem" class="ember" role="alert">{{ problem }}</p>
      <ol>
        <li :class="{ done: dry.done }" data-test="dry-step">
          <span class="n">1</span>
          <div>
            <h2>
              {{ t('wet.dry_title') }} <small :class="{ ember: dry.late }">{{ dry.when }}</small>
            </h2>
            <template v-if="!dry.done">
              <p>{{ t(geared ? 'wet.dry_text' : 'wet.dry_text_single') }}</p>
              <StepTimer v-if="left !== null && dry.seconds !== null" class="timer" :left="left" :seconds="dry.seconds" :paused="false" />
              <PushButton v-if="here.mayWrite" main data-test="dried" @click="dried">{{ t('wet.dried') }}</PushButton>
            </template>
          </div>
        </li>
        <li data-test="then-step">
          <span class="n">2</span>
          <div>
            <h2>
              {{ t('wet.then_title') }} <small>{{ next }}</small>
            </h2>
            <ul>
              <li v-for="way in ways" :key="way.way" :data-test="`way-${way.way}`">
                <div>
                  <b>{{ way.title }}</b><em v-if="way.best">{{ t('wet.best') }}</em>
                  <p class="muted">{{ way.text }}</p>
                  <p :class="way.inTime ? '' : 'muted'">{{ way.when }}</p>
                </div>
                <PushButton
                  v-if="here.mayWrite"
                  :main="dry.done && way.best"
                  :aria-label="`${t(`wet.go.${way.way}`)}: ${way.title}`"
                  :data-test="`go-${way.way}`"
                  @click="go(way)"
                  >{{ t(`wet.go.${way.way}`) }}</PushButton
                >
              </li>
            </ul>
          </div>
        </li>
      </ol>
      <Link href="/" data-test="to-shed">{{ t('job.shed') }}</Link>
    </div>
  </AppShell>
</template>

<style scoped>
.path {
  max-width: 860px;
  margin-inline: auto;
}
.run {
  width: 320px;
  max-width: 100%;
  margin: 8px 0 14px;
}
ol,
ul {
  list-style: none;
  padding: 0;
  margin: 18px 0;
}
ol > li {
  display: grid;
  grid-template-columns: 46px minmax(0, 1fr);
  padding: 18px 0;
  border-top: 1.5px solid var(--ink);
}
.n {
  font-stretch: 80%;
  font-weight: 760;
  font-size: var(--type-7);
  line-height: 1;
}
h2 {
  color: var(--ink);
  font-size: var(--type-5);
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: baseline;
}
h2 small {
  font-weight: 560;
  font-size: var(--type-3);
  color: var(--steel);
}
h2 small.ember {
  color: var(--ember);
}
li.done > .n,
li.done h2 {
  color: var(--steel);
}
.timer {
  margin-bottom: 12px;
}
.timer :deep(.big) {
  font-size: clamp(3.25rem, 9vw, 5.25rem);
}
p {
  margin: 4px 0 10px;
}
ul {
  margin: 8px 0 0;
}
ul li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 16px;
  padding: 10px 0;
  border-bottom: 1px solid var(--line);
}
ul p {
  margin: 2px 0 0;
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
@media (max-width: 52.49em) {
  ol > li {
    grid-template-columns: 34px minmax(0, 1fr);
  }
}
</style>
