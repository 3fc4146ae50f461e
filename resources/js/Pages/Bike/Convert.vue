<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import AppShell from '@/components/layout/AppShell.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { ConversionLine, ConversionPage } from '@/types/server'

/** A bike ridden on oil on its way to wax: what is done, what comes next, and the door to it. */
const props = defineProps<ConversionPage>()
const here = useHere()
const take = (way: string) => write('post', `/bikes/${props.bike}/convert`, { way })
function led(line: ConversionLine): void {
  if (line.step === 'clean') write('post', `/bikes/${props.bike}/brushings/led`, { deep: true, painted: false })
  else write('post', `/bikes/${props.bike}/fittings/led`, { chain_id: props.chain, date: props.forms.date, time: props.forms.time })
}
</script>

<template>
  <AppShell :title="title" at="shed">
    <div class="page path">
      <h1>{{ title }}</h1>
      <p class="muted" data-test="lead">{{ lead }}</p>
      <ol>
        <li
          v-for="(line, i) in steps"
          :key="line.step"
          :class="{ done: line.done, now: line.now }"
          :aria-current="line.now ? 'step' : undefined"
          :data-test="`convert-${line.step}`">
          <span class="n" aria-hidden="true">{{ line.done ? '✓' : i + 1 }}</span>
          <div>
            <h2>
              {{ line.title }} <small v-if="line.done">{{ t('convert.done') }}</small>
            </h2>
            <p v-if="!line.done">{{ line.text }}</p>
            <ul v-if="line.step === 'decide'">
              <li v-for="way in ways" :key="way.way" :data-test="`way-${way.way}`">
                <div>
                  <b>{{ way.title }}</b><em v-if="way.chosen">{{ t('convert.chosen') }}</em
                  ><em v-else-if="way.proposed">{{ t('convert.best') }}</em>
                  <p class="muted">{{ way.text }}</p>
                </div>
                <PushButton
                  v-if="here.mayWrite && !way.chosen"
                  :main="line.now && way.proposed"
                  :aria-label="`${t('convert.choose')}: ${way.title}`"
                  :data-test="`take-${way.way}`"
                  @click="take(way.way)"
                  >{{ t('convert.choose') }}</PushButton
                >
              </li>
            </ul>
            <template v-else-if="here.mayWrite && !line.done">
              <PushButton v-if="line.href" :main="line.now" :data-test="`go-${line.step}`" @click="router.visit(line.href)">{{
                line.verb
              }}</PushButton>
              <PushButton
                v-else-if="line.step === 'clean' || line.now"
                :main="line.now"
                :data-test="`go-${line.step}`"
                @click="led(line)"
                >{{ t('convert.led') }}</PushButton
              >
            </template>
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
ol,
ul {
  list-style: none;
  padding: 0;
  margin: 14px 0;
}
ol > li {
  display: grid;
  grid-template-columns: 44px minmax(0, 1fr);
  gap: 14px;
  padding: 14px 0;
  border-top: 1px solid var(--line);
}
.n {
  font-size: var(--type-6);
  font-weight: 700;
  line-height: 1;
  color: var(--steel);
}
.now .n,
.now h2 {
  color: var(--ink);
}
.done h2 {
  color: var(--steel);
}
h2 {
  margin: 0;
  font-size: var(--type-4);
}
h2 small {
  font-size: var(--type-2);
  font-weight: 560;
}
p {
  margin: 4px 0 10px;
}
ul > li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 8px 18px;
  padding: 8px 0;
}
ul p {
  margin: 0;
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
</style>
