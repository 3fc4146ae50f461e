<script setup lang="ts">
import { t } from '@/composables/useText'
import type { StripDay } from '@/types/server'

/** Four weeks as a strip: a bar for each ride, hatched where it was wet. */
defineProps<{ days: StripDay[] }>()
</script>

<template>
  <ol class="strip" :aria-label="t('rides.strip')">
    <li
      v-for="day in days"
      :key="day.date"
      :class="{ weekend: day.weekend }"
      :title="[day.name, ...day.bars.map((bar) => bar.text)].join('\n')">
      <span class="sr">{{ day.name }}: {{ day.bars.map((bar) => bar.text).join('; ') || '–' }}</span>
      <span class="bars" aria-hidden="true"
        ><i
          v-for="(bar, i) in day.bars"
          :key="i"
          :class="{ soaked: bar.soaked, estimated: bar.estimated }"
          :style="{ height: `${Math.max(3, 72 * bar.share)}px` }"
      /></span>
      <span class="day" aria-hidden="true"
        >{{ day.weekday }}<b>{{ day.number }}</b></span
      >
    </li>
  </ol>
</template>

<style scoped>
.strip {
  list-style: none;
  display: grid;
  grid-template-columns: repeat(28, minmax(0, 1fr));
  padding: 0;
  margin: 6px 0 0;
  border-bottom: 1px solid var(--line);
}
li {
  display: flex;
  flex-direction: column;
  justify-content: flex-end;
  min-width: 0;
  padding: 0 2px 4px;
}
li.weekend {
  background: color-mix(in srgb, var(--steel-2) 18%, transparent);
}
.bars {
  display: flex;
  flex-direction: column;
  justify-content: flex-end;
  height: 80px;
  gap: 1px;
  border-bottom: 1.2px solid var(--ink);
}
i {
  background: var(--steel);
  border-radius: 1px 1px 0 0;
}
i.soaked {
  background: repeating-linear-gradient(45deg, var(--ready) 0 3px, var(--paper) 3px 5px);
  border: 1px solid var(--ready);
}
i.estimated {
  background: none;
  border: 1.2px dashed var(--steel);
}
.day {
  text-align: center;
  font-size: var(--type-1);
  color: var(--steel);
  line-height: 1.15;
  padding-top: 3px;
}
.day b {
  display: block;
  font-weight: 620;
  color: var(--ink);
  font-size: var(--type-2);
}
@media (max-width: 52.49em) {
  li:nth-child(-n + 14) {
    display: none;
  }
  .strip {
    grid-template-columns: repeat(14, minmax(0, 1fr));
  }
}
</style>
