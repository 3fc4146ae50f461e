<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { mdiBell, mdiBellOff } from '@mdi/js'
import { computed } from 'vue'
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'
import type { JobStateView, JobView } from '@/types/server'

/** Over a guided job: what it is, whom it is about, how far it is, and whether it rings. */
const bell = defineModel<boolean>('bell', { required: true })
const props = defineProps<{ job: JobView; state: JobStateView; mayGoBack: boolean }>()
const emit = defineEmits<{ back: [] }>()
const total = computed(() => props.state.turns.length + props.state.ahead.length)
</script>

<template>
  <header class="bar">
    <Link href="/" class="mark" :aria-label="`Dripel, ${t('nav.shed')}`">
      <svg width="16" height="23" viewBox="0 0 18 26" aria-hidden="true">
        <path d="M9 1c4 8 8 11 8 16a8 8 0 0 1-16 0C1 12 5 9 9 1Z" fill="var(--amber)" />
        <path d="M1 17a8 8 0 0 0 16 0Z" fill="var(--ink)" />
      </svg>
    </Link>
    <b class="wide">{{ job.title }}</b>
    <span class="muted who">{{ job.aboutPot ?? job.chains.join(', ') }}</span>
    <span class="grow" />
    <template v-if="state.current">
      <span class="muted desk">{{ t('job.about', { time: state.about }) }}</span>
      <button v-if="mayGoBack" type="button" class="as-link quiet" :title="t('job.back_hint')" data-test="job-back" @click="emit('back')">
        {{ t('job.back') }}
      </button>
      <span class="muted" data-test="job-step">{{ t('job.step', { n: state.turns.length, of: total }) }}</span>
    </template>
    <PushButton
      :icon="bell ? mdiBell : mdiBellOff"
      bare
      :aria-label="bell ? t('job.bell_on') : t('job.bell_off')"
      :aria-pressed="bell"
      data-test="bell"
      @click="bell = !bell" />
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 14px;
  min-height: 50px;
  padding: 0 14px 0 24px;
  background: var(--paper);
  border-bottom: 1.5px solid var(--ink);
}
.mark {
  display: flex;
  min-height: 44px;
  min-width: 28px;
  align-items: center;
}
[data-test='job-back'] {
  min-height: 44px;
  white-space: nowrap;
}
.grow {
  flex: 1;
}
.bar b {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.bar [data-test='job-step'] {
  white-space: nowrap;
}
.who {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
@media (max-width: 52.49em) {
  .mark {
    min-width: 44px;
    justify-content: center;
  }
  .bar {
    padding: 0 4px 0 12px;
    gap: 8px;
  }
}
@media (max-width: 37.49em) {
  .who {
    display: none;
  }
}
</style>
