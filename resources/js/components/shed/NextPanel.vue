<script setup lang="ts">
import { t } from '@/composables/useText'
import type { NextLine } from '@/types/server'

defineProps<{ lines: NextLine[]; mayWrite: boolean }>()
const emit = defineEmits<{ act: [line: NextLine] }>()
</script>

<template>
  <section aria-labelledby="next-title">
    <h2 id="next-title">{{ t('shed.next') }}</h2>
    <ol v-if="lines.length">
      <li v-for="line in lines" :key="line.key" :data-test="`next-${line.kind}`">
        <div class="when" :class="{ ember: line.late }">
          {{ line.day }}<small>{{ line.hour }}</small>
        </div>
        <div class="what">
          <p class="title">{{ line.title }}</p>
          <p class="reason muted">{{ line.reason }}</p>
        </div>
        <v-btn
          v-if="mayWrite && line.verb"
          size="small"
          :aria-label="`${line.verbText}: ${line.title}`"
          :data-test="`act-${line.kind}`"
          @click="emit('act', line)"
          >{{ line.verbText }}</v-btn
        >
      </li>
    </ol>
    <p v-else class="muted">{{ t('shed.next_empty') }}</p>
  </section>
</template>

<style scoped>
ol {
  list-style: none;
  padding: 0;
  margin: 4px 0 0;
}
li {
  display: grid;
  grid-template-columns: 70px 1fr auto;
  column-gap: 10px;
  padding: 9px 0;
  border-bottom: 1px solid var(--line);
}
li:last-child {
  border: 0;
}
.when {
  font-weight: 740;
  font-stretch: 88%;
  font-size: var(--type-4);
  line-height: 1.15;
}
small {
  display: block;
  font:
    500 11.5px 'Archivo Variable',
    sans-serif;
  color: var(--steel);
}
.ember small {
  color: var(--ember);
  font-weight: 680;
}
.what {
  position: relative;
}
p {
  margin: 0;
}
.title {
  font-weight: 620;
  line-height: 1.25;
}
.reason {
  font-size: var(--type-2);
  line-height: 1.3;
  margin: 2px 0 0;
}
.v-btn {
  --v-btn-height: 26px;
  padding: 0 9px;
  font-size: var(--type-2);
}
@media (max-width: 839.98px) {
  .v-btn {
    --v-btn-height: 44px;
  }
}
</style>
