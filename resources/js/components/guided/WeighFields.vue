<script setup lang="ts">
import { ref } from 'vue'
import NumberField from '@/components/forms/NumberField.vue'
import { t } from '@/composables/useText'
import type { JobStepView } from '@/types/server'

/** What each chain weighs, before the wax or after it. */
const props = defineProps<{ chains: JobStepView['chains']; when: 'before_g' | 'after_g'; unit: string }>()
const emit = defineEmits<{ weighed: [chain: number, mass: string] }>()
const masses = ref<Record<number, string>>({})
// What is no number is not sent: it would hold up the taps that go with it.
const mass = (chain: number) => (masses.value[chain] ?? '').trim().replace(',', '.')
const isMass = (chain: number) => mass(chain) === '' || Number(mass(chain)) > 0
function weigh(chain: number): void {
  if (mass(chain) !== '' && isMass(chain)) emit('weighed', chain, mass(chain))
}
const label = (name: string) => `${name}, ${t(props.when === 'before_g' ? 'job.before' : 'job.after')}`
</script>

<template>
  <form v-for="chain in chains" :key="chain.id" class="weigh" @submit.prevent="weigh(chain.id)">
    <NumberField
      v-model="masses[chain.id]"
      density="compact"
      :error-messages="isMass(chain.id) ? '' : t('job.not_number')"
      :label="label(chain.name)"
      :unit="unit"
      :name="`mass-${chain.name}`"
      @change="weigh(chain.id)" />
  </form>
</template>

<style scoped>
.weigh {
  max-width: 320px;
  margin-bottom: 8px;
}
</style>
