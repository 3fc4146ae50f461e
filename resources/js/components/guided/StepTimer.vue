<script setup lang="ts">
import { computed } from 'vue'
import { timerDigits } from '@/composables/timerDigits'
import { t } from '@/composables/useText'

/** The big figure of a timed step: what is left, or by how much it is over. */
const props = defineProps<{ left: number; seconds: number; paused: boolean }>()

const over = computed(() => props.left <= 0)
const figure = computed(() => timerDigits(Math.abs(props.left)))
const words = computed(() =>
  props.paused ? t('job.paused') : over.value ? t('job.over', { time: figure.value }) : t('job.left', { time: timerDigits(props.seconds) }),
)
</script>

<template>
  <p class="timer" :class="{ over, long: left >= 3600 }" role="timer" data-test="timer" :data-left="left">
    <span class="big">{{ over ? '0:00' : figure }}</span><span class="words">{{ words }}</span>
  </p>
</template>

<style scoped>
.timer {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 16px;
  margin: 0;
}
.big {
  font-size: clamp(5.25rem, 12vw, 9.25rem);
  letter-spacing: -3px;
}
.long .big {
  font-size: clamp(4rem, 9vw, 7rem);
}
.words {
  font-size: var(--type-5);
  font-weight: 620;
  color: var(--steel);
}
.over .words {
  color: var(--ember);
}
</style>
