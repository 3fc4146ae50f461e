<script setup lang="ts">
import { t } from '@/composables/useText'
import type { JobNow, JobStepView } from '@/types/server'

/** The keys under a step: what is done, the other answer, its timer, and what is worth a word. */
defineProps<{
  step: JobStepView
  now: JobNow
  early: boolean
  blocked: boolean
  main: string
  saying: 'note' | 'skip' | null
  notes: boolean
}>()
const emit = defineEmits<{ done: []; again: []; longer: []; pause: []; say: [what: 'note' | 'skip'] }>()
</script>

<template>
  <div class="acts">
    <button
      v-if="!blocked"
      type="button"
      class="act main"
      data-test="job-done"
      :disabled="early && (!step.sign || now.signed)"
      @click="emit('done')">
      {{ main }}<kbd class="desk">space</kbd>
    </button>
    <button v-if="step.question" type="button" class="act answer" data-test="job-again" @click="emit('again')">
      {{ step.question.no }}<kbd class="desk">c</kbd>
    </button>
    <template v-if="now.seconds !== null">
      <button type="button" class="act" data-test="job-longer" @click="emit('longer')">
        {{ t('job.longer') }}<kbd class="desk">+</kbd>
      </button>
      <button type="button" class="act" data-test="job-pause" @click="emit('pause')">
        {{ now.paused ? t('job.resume') : t('job.pause') }}<kbd class="desk">p</kbd>
      </button>
    </template>
    <template v-if="notes">
      <button type="button" class="act small-act" data-test="job-note" :aria-expanded="saying === 'note'" @click="emit('say', 'note')">
        {{ t('job.note') }}<kbd class="desk">n</kbd>
      </button>
      <button
        v-if="step.skippable"
        type="button"
        class="act small-act"
        data-test="job-skip"
        :aria-expanded="saying === 'skip'"
        @click="emit('say', 'skip')">
        {{ t('job.skip') }}<kbd class="desk">k</kbd>
      </button>
    </template>
  </div>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 20px 0 12px;
}
.act {
  font: inherit;
  font-size: var(--type-5);
  font-weight: 680;
  min-height: 58px;
  padding: 0 24px;
  border: 1.5px solid var(--ink);
  border-radius: 3px;
  background: var(--paper);
  color: var(--ink);
  cursor: pointer;
  display: inline-flex;
  gap: 14px;
  align-items: center;
  justify-content: center;
  touch-action: manipulation;
}
.main {
  background: var(--ink);
  color: var(--paper);
  min-width: 240px;
}
.acts:has(.small-act) .act {
  font-size: var(--type-4);
  padding: 0 17px;
  gap: 10px;
}
.main:disabled {
  background: var(--steel-2);
  border-color: var(--steel-2);
  color: var(--ink);
  cursor: default;
}
.act kbd {
  color: inherit;
  border-color: currentcolor;
}
@media (max-width: 52.49em) {
  .acts {
    display: grid;
    grid-template-columns: 1fr 1fr;
    margin-top: auto;
  }
  .act {
    min-height: 64px;
    padding: 0 10px;
  }
  .answer {
    grid-column: 1 / -1;
  }
  .main {
    grid-column: 1 / -1;
    min-height: 76px;
    min-width: 0;
    font-size: var(--type-5);
  }
}
</style>
