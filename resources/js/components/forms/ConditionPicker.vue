<script setup lang="ts">
import { useId } from 'vue'
import { t } from '@/composables/useText'

const condition = defineModel<string>({ required: true })
defineProps<{ conditions: { value: string; name: string; factor: string }[] }>()
const name = useId()
</script>

<template>
  <fieldset>
    <legend>{{ t('ride.condition') }}</legend>
    <div class="taps">
      <label
        v-for="option in conditions"
        :key="option.value"
        :class="{ on: condition === option.value }"
        :data-test="`condition-${option.value}`">
        <input v-model="condition" type="radio" :name="name" :value="option.value" />
        <span>{{ option.name }}</span><small>× {{ option.factor }}</small>
      </label>
    </div>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
}
legend {
  font-size: 12.5px;
  color: var(--steel);
  margin-bottom: 4px;
}
.taps {
  display: grid;
  grid-template-columns: repeat(6, 1fr);
  gap: 4px;
}
label {
  border: 1.2px solid var(--ink);
  border-radius: 3px;
  padding: 7px 2px;
  text-align: center;
  cursor: pointer;
  font-weight: 620;
  font-size: 13px;
  position: relative;
  line-height: 1.15;
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
  font-size: 11px;
}
@media (max-width: 700px) {
  .taps {
    grid-template-columns: repeat(3, 1fr);
  }
  label {
    min-height: 44px;
  }
}
</style>
