<script setup lang="ts">
import { useId } from 'vue'
import SeatDrawing from './SeatDrawing.vue'
import { t } from '@/composables/useText'
import type { Seat } from '@/types/wear'

/** At one mark: tap the picture that looks like what you see. Tapped again it was not tried. */
const chosen = defineModel<Seat | ''>({ required: true })
defineProps<{ mark: string }>()
const name = useId()
const seats = ['rests', 'part', 'enters'] as const
</script>

<template>
  <fieldset>
    <legend>{{ t('measure.mark') }} {{ mark }} %</legend>
    <div class="seats">
      <label v-for="seat in seats" :key="seat" :class="{ on: chosen === seat }" :data-test="`seat-${mark}-${seat}`">
        <input
          type="radio"
          :name="name"
          :value="seat"
          :checked="chosen === seat"
          @change="chosen = seat"
          @click="chosen === seat && (chosen = '')" />
        <SeatDrawing :seat="seat" />
        <span
          ><b>{{ t(`measure.${seat}`) }}</b
          ><small>{{ t(`measure.means.${seat}`) }}</small></span
        >
      </label>
    </div>
  </fieldset>
</template>

<style scoped>
.seats {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 6px;
}
label {
  position: relative;
  border: 1.2px solid var(--line);
  border-radius: 3px;
  padding: 6px 8px 7px;
  cursor: pointer;
  background: var(--wall);
}
label.on {
  border-color: var(--ink);
  box-shadow: inset 0 0 0 1.5px var(--ink);
  background: var(--paper);
}
label.on b::before {
  content: '✓ ';
}
label:focus-within {
  outline: 2.5px solid var(--ink);
  outline-offset: 2px;
}
input {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  margin: 0;
  opacity: 0;
  cursor: pointer;
}
span {
  display: block;
  line-height: 1.2;
  margin-top: 3px;
}
small {
  display: block;
  font-size: var(--type-1);
  color: var(--steel);
}
@media (max-width: 52.49em) {
  label {
    padding: 5px 4px 7px;
    text-align: center;
  }
  small {
    font-size: var(--type-1);
  }
}
</style>
