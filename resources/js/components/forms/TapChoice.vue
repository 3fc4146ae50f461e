<script setup lang="ts" generic="T extends string">
import { useId } from 'vue'

/** One of a few, in one tap: radio buttons drawn as a row of keys. */
const chosen = defineModel<T>({ required: true })
defineProps<{ legend: string; options: { value: string; title: string; note?: string }[]; test: string; even?: boolean }>()
const name = useId()
</script>

<template>
  <fieldset>
    <legend>{{ legend }}</legend>
    <div class="taps" :class="{ even }">
      <label v-for="option in options" :key="option.value" :class="{ on: chosen === option.value }" :data-test="`${test}-${option.value}`">
        <input type="radio" :name="name" :value="option.value" :checked="chosen === option.value" @change="chosen = option.value as T" />
        {{ option.title }}<small v-if="option.note">{{ option.note }}</small>
      </label>
    </div>
  </fieldset>
</template>

<style scoped>
.taps {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.taps.even {
  display: grid;
  grid-template-columns: repeat(6, 1fr);
}
label {
  border: 1.2px solid var(--ink);
  border-radius: 3px;
  padding: 7px 12px;
  text-align: center;
  font-weight: 620;
  font-size: var(--type-2);
  line-height: 1.15;
  cursor: pointer;
  position: relative;
}
.even label {
  padding: 7px 2px;
}
label.on {
  background: var(--ink);
  color: var(--paper);
}
label:focus-within {
  outline: 2.5px solid var(--ink);
  outline-offset: 2px;
}
input {
  position: absolute;
  opacity: 0;
  inset: 0;
  width: 100%;
  height: 100%;
  margin: 0;
  cursor: pointer;
}
small {
  display: block;
  font-weight: 480;
  font-size: var(--type-1);
}
@media (max-width: 52.49em) {
  .taps.even {
    grid-template-columns: repeat(3, 1fr);
  }
  label {
    min-height: 44px;
    min-width: 44px;
    display: grid;
    align-content: center;
  }
}
</style>
