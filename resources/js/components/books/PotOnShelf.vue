<script setup lang="ts">
import { ref } from 'vue'
import { t } from '@/composables/useText'
import type { PotInBooks } from '@/types/pots'
import BookEntries from './BookEntries.vue'
import HeatPanel from './HeatPanel.vue'
import PotDrawing from './PotDrawing.vue'

defineProps<{ pot: PotInBooks; mayWrite: boolean; temperature: string }>()
const heating = ref(false)
const emit = defineEmits<{ tend: []; remove: [entry: number] }>()
</script>

<template>
  <article class="standing" :aria-labelledby="`pot-${pot.id}`" :data-test="`book-${pot.name}`">
    <PotDrawing :level="pot.level" :coil="pot.coil" :grit="pot.gritShare" :empty="pot.empty" />
    <div>
      <h3 :id="`pot-${pot.id}`" class="wide">{{ pot.name }}</h3>
      <p class="muted small">
        {{ pot.about }}<template v-if="pot.since">, {{ pot.since }}</template>
      </p>
      <p class="holds" :class="{ ember: pot.problem }">{{ pot.holds }}</p>
      <template v-if="!pot.empty">
        <p>{{ pot.left }}</p>
        <p class="muted small">{{ [pot.grit, pot.max, pot.oil].filter(Boolean).join('; ') }}</p>
        <p v-if="pot.next" class="strong" :class="{ ember: pot.late }">{{ pot.next }}</p>
      </template>
      <p class="small">{{ pot.caution }}</p>
      <v-btn
        v-if="mayWrite"
        size="small"
        class="tend"
        :data-test="`tend-${pot.name}`"
        :aria-label="`${t('books.tend')}: ${pot.name}`"
        @click="emit('tend')"
        >{{ t('books.tend') }}</v-btn
      >
      <button
        v-if="mayWrite && !pot.empty"
        type="button"
        class="open"
        :aria-expanded="heating"
        :data-test="`heat-${pot.name}`"
        @click="heating = !heating">
        {{ t('heat.title') }}
      </button>
      <BookEntries :title="t('pot_form.book')" :entries="pot.entries" :may-write="mayWrite" @remove="emit('remove', $event)" />
    </div>
    <HeatPanel v-if="heating" class="whole" :pot="pot.id" :temperature="temperature" />
  </article>
</template>

<style scoped>
.standing {
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr);
  gap: 16px;
  padding: 14px 0;
  border-top: 1px solid var(--line);
}
h3 {
  font-size: 16px;
  margin: 0;
}
p {
  margin: 0;
}
.holds,
.strong {
  font-weight: 680;
}
.open {
  display: block;
  font: inherit;
  font-weight: 620;
  color: inherit;
  background: none;
  border: 0;
  padding: 0;
  min-height: 30px;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
.whole {
  grid-column: 1 / -1;
}
.tend {
  margin: 8px 0 4px;
}
</style>
