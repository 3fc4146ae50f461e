<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { computed } from 'vue'
import LoopPicture from '@/components/help/LoopPicture.vue'
import { t } from '@/composables/useText'

/** What a new workshop needs: a bike, its chains, the pot. Each can be done now or later. */
const props = defineProps<{ bikes: boolean; chains: boolean; pots: boolean; big: boolean; mayWrite: boolean }>()
const emit = defineEmits<{ hide: [] }>()
const steps = computed(() => [
  { name: 'bike' as const, picture: 'bike', done: props.bikes, href: '/bikes/new', also: '/arrive' },
  { name: 'chains' as const, picture: 'hang', done: props.chains, href: props.bikes ? '/chains/new' : null, also: null },
  { name: 'pot' as const, picture: 'pot', done: props.pots, href: '/pot', also: null },
])
</script>

<template>
  <section class="first" :class="{ whole: big }" aria-labelledby="first-steps" data-test="first-steps">
    <div class="row between">
      <h2 id="first-steps">{{ t('first.title') }}</h2>
      <button v-if="!big" type="button" class="as-link" data-test="hide-steps" @click="emit('hide')">{{ t('first.hide') }}</button>
    </div>
    <p class="muted">{{ t('first.text') }}</p>
    <ol>
      <li v-for="step in steps" :key="step.name" :class="{ done: step.done }" :data-test="`step-${step.name}`">
        <LoopPicture :step="step.picture" />
        <div>
          <h3 class="wide">{{ t(`first.${step.name}.title`) }}</h3>
          <p>{{ t(`first.${step.name}.text`) }}</p>
          <p v-if="step.done" class="state">✓ {{ t('first.done') }}</p>
          <p v-else-if="step.href === null" class="muted">{{ t('first.chains.wait') }}</p>
          <p v-else-if="mayWrite" class="links">
            <Link class="go" :href="step.href" :data-test="`first-${step.name}`">{{ t(`first.${step.name}.do`) }}</Link>
            <Link v-if="step.also" :href="step.also" data-test="first-used">{{ t('first.bike.also') }}</Link>
          </p>
        </div>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.first {
  padding: 16px 24px;
  border-bottom: 1.5px solid var(--ink);
  background: var(--paper);
}
.first.whole {
  border: 0;
  background: none;
}
.whole h2 {
  font-size: var(--type-6);
  color: var(--ink);
}
ol {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 28px;
}
li {
  border-top: 7px solid var(--wood);
  padding-top: 10px;
}
li.done {
  border-color: var(--line);
}
li.done :deep(.picture) {
  opacity: 0.55;
}
.first:not(.whole) :deep(.picture) {
  height: 84px;
}
h3 {
  font-size: var(--type-4);
  margin: 8px 0 2px;
}
p {
  margin: 2px 0 8px;
}
.state {
  font-weight: 680;
}
.links {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}
.go {
  background: var(--ink);
  color: var(--paper);
  border-radius: 3px;
  padding: 8px 14px;
  font-weight: 620;
  text-decoration: none;
}
@media (max-width: 52.49em) {
  .first {
    padding: 14px;
  }
  ol {
    grid-template-columns: minmax(0, 1fr);
    gap: 14px;
  }
  li {
    display: grid;
    grid-template-columns: 96px minmax(0, 1fr);
    gap: 12px;
  }
  li :deep(.picture) {
    height: 90px;
  }
  .go,
  .links a {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
}
</style>
