<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { usePhone } from '@/composables/usePhone'
import { t } from '@/composables/useText'

/** Who rides in the demo, and five things to try. Closed on this device it stays closed; Help brings it back. */
const closed = useLocalStorage('dripel.guide.closed', false)
const asked = ref(new URLSearchParams(window.location.search).has('steps'))
const open = computed(() => asked.value || !closed.value)
function close(): void {
  asked.value = false
  closed.value = true
}
// On the phone the bikes come first.
const wide = !usePhone().value
const tries = [
  { name: 'wet', href: '#next-title' },
  { name: 'pot', href: '/pot' },
  { name: 'worn', href: '/gauge' },
  { name: 'weeks', href: '/ahead' },
  { name: 'money', href: '/books/money' },
] as const
</script>

<template>
  <section v-if="open" class="guide" aria-labelledby="guide" data-test="guide">
    <div v-if="wide">
      <h2 id="guide">{{ t('guide.title') }}</h2>
      <p>{{ t('guide.text') }}</p>
    </div>
    <details :open="wide">
      <summary :id="wide ? undefined : 'guide'">{{ t(wide ? 'guide.tries' : 'guide.title') }}</summary>
      <p v-if="!wide">{{ t('guide.text') }}</p>
      <ol>
        <li v-for="one in tries" :key="one.name">
          <a v-if="one.href.startsWith('#')" :href="one.href">{{ t(`guide.${one.name}`) }}</a>
          <Link v-else :href="one.href">{{ t(`guide.${one.name}`) }}</Link>
        </li>
      </ol>
    </details>
    <button type="button" class="as-link" data-test="close-guide" @click="close">{{ t('guide.close') }}</button>
  </section>
</template>

<style scoped>
.guide {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 5fr) auto;
  gap: 24px;
  align-items: start;
  padding: 10px 24px;
  background: var(--paper);
  border-bottom: 1.5px solid var(--ink);
}
p {
  margin: 2px 0 0;
}
ol {
  margin: 0;
  padding-left: 18px;
  columns: 2;
  column-gap: 28px;
}
summary {
  min-height: 24px;
}
li a {
  display: inline-block;
  min-height: 24px;
}
li {
  min-height: 24px;
  break-inside: avoid;
}
@media (max-width: 52.49em) {
  .guide {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
    padding: 2px 14px;
  }
  li a {
    min-height: 44px;
    display: flex;
    align-items: center;
  }
  ol {
    columns: 1;
  }
  li {
    min-height: 44px;
  }
}
</style>
