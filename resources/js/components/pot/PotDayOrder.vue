<script setup lang="ts">
import { ref } from 'vue'
import { t } from '@/composables/useText'
import type { PotDayPlanView } from '@/types/server'

/** In which order the chains go in: the cleanest first, unless somebody drags one, or moves it with its arrows. */
const props = defineProps<{ dips: PotDayPlanView['dips'] }>()
const order = defineModel<number[]>({ required: true })
const held = ref<number | null>(null)
const over = ref<number | null>(null)
function move(id: number, to: number): void {
  const ids = props.dips.map((dip) => dip.id).filter((other) => other !== id)
  ids.splice(to, 0, id)
  order.value = ids
}
function drop(to: number): void {
  if (held.value !== null) move(held.value, to)
  held.value = over.value = null
}
</script>

<template>
  <table class="plain" data-test="order">
    <tbody>
      <tr
        v-for="(dip, i) in dips"
        :key="dip.id"
        :draggable="dips.length > 1"
        :class="{ held: held === dip.id, over: over === i && held !== dip.id }"
        :data-test="`order-${dip.chain}`"
        @dragstart="held = dip.id"
        @dragend="held = over = null"
        @dragover.prevent="over = i"
        @drop.prevent="drop(i)">
        <th scope="row">
          {{ i + 1 }}. {{ dip.chain }}<small class="muted">{{ dip.brings }}, {{ t('pot_day.batch', { n: dip.batch }) }}</small>
        </th>
        <td>{{ dip.shock }}</td>
        <td class="num">
          <b>{{ dip.soak }}</b><small class="muted">{{ dip.because }}</small>
        </td>
        <td v-if="dips.length > 1" class="arrows">
          <button
            type="button"
            :disabled="i === 0"
            :aria-label="t('pot_day.earlier', { chain: dip.chain })"
            :data-test="`earlier-${dip.chain}`"
            @click="move(dip.id, i - 1)">
            ↑
          </button>
          <button
            type="button"
            :disabled="i === dips.length - 1"
            :aria-label="t('pot_day.later_in', { chain: dip.chain })"
            :data-test="`later-${dip.chain}`"
            @click="move(dip.id, i + 1)">
            ↓
          </button>
        </td>
      </tr>
    </tbody>
  </table>
  <button v-if="order.length" type="button" class="as-link" data-test="cleanest" @click="order = []">{{ t('pot_day.cleanest') }}</button>
</template>

<style scoped>
small {
  display: block;
  font-weight: 480;
}
th[scope='row'] {
  text-align: left;
  border-bottom: 1px solid var(--line);
  color: var(--ink);
  font-size: var(--type-4);
}
tr[draggable='true'] {
  cursor: grab;
}
.held {
  opacity: 0.5;
}
.over > * {
  border-top: 3px solid var(--amber);
}
.arrows {
  white-space: nowrap;
  text-align: right;
}
.arrows button {
  font: inherit;
  font-weight: 700;
  min-width: 44px;
  min-height: 44px;
  background: none;
  border: 1.5px solid var(--line);
  border-radius: 3px;
  color: var(--ink);
  cursor: pointer;
}
.arrows button:disabled {
  opacity: 0.35;
  cursor: default;
}
</style>
