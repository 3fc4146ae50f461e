<script setup lang="ts">
import { Head } from '@inertiajs/vue3'
import ChainRun from '@/components/chain/ChainRun.vue'
import PageProgress from './PageProgress.vue'
import { t } from '@/composables/useText'

/** The pages before the door: sign-in, registration, invitation. */
defineProps<{ title: string }>()
</script>

<template>
  <Head :title="title" />
  <v-app>
    <main class="door">
      <PageProgress />
      <div class="brand">
        <svg width="30" height="43" viewBox="0 0 18 26" aria-hidden="true">
          <path d="M9 1c4 8 8 11 8 16a8 8 0 0 1-16 0C1 12 5 9 9 1Z" fill="var(--amber)" />
          <path d="M1 17a8 8 0 0 0 16 0Z" fill="var(--ink)" />
        </svg>
        <div>
          <p class="word">Dripel</p>
          <p class="muted">{{ t('people.claim') }}</p>
        </div>
      </div>
      <div class="art" aria-hidden="true"><ChainRun :coat="0.62" left="" /></div>
      <div class="sheet fields">
        <h1>{{ title }}</h1>
        <slot />
      </div>
    </main>
  </v-app>
</template>

<style scoped>
.door {
  width: 100%;
  max-width: 460px;
  margin: 0 auto;
  padding: 9vh 20px 40px;
}
.brand {
  display: flex;
  gap: 14px;
  align-items: center;
}
p {
  margin: 0;
}
.word {
  font-stretch: 125%;
  font-weight: 800;
  font-size: var(--type-7);
  letter-spacing: -0.5px;
  line-height: 1.1;
}
.art {
  margin: 22px 0;
}
.art :deep(svg) {
  max-width: none;
}
.sheet {
  border: 1.5px solid var(--ink);
  border-radius: 3px;
  padding: 22px;
}
</style>
