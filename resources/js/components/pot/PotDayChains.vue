<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { computed } from 'vue'
import ChainForPot from '@/components/pot/ChainForPot.vue'
import { usePhone } from '@/composables/usePhone'
import { t } from '@/composables/useText'
import type { PotDayChain, PotDayPage } from '@/types/server'

/** Which chains go into the pot: those that wait first, any other beside them, and why one cannot. */
const props = defineProps<{
  chains: PotDayChain[]
  chosen: number[]
  rinses: PotDayPage['choices']['rinse']
  problem?: string
}>()
const emit = defineEmits<{ settle: [how: 'measure' | 'retire', chain: PotDayChain] }>()
const taken = defineModel<number[]>('taken', { required: true })
const first = defineModel<Record<number, boolean>>('first', { required: true })
const rinse = defineModel<Record<number, string>>('rinse', { required: true })
const powder = defineModel<number[]>('powder', { required: true })
const usable = computed(() => props.chains.filter((chain) => !chain.refusal))
// Those that wait stand first; any other may go in with them.
const waiting = computed(() => usable.value.filter((chain) => chain.proposed || props.chosen.includes(chain.id)))
const others = computed(() => usable.value.filter((chain) => !waiting.value.includes(chain)))
const refused = computed(() => props.chains.filter((chain) => chain.refusal && chain.refusal.code !== 'retired'))
const phone = usePhone()
</script>

<template>
  <fieldset class="chains">
    <legend>{{ t('pot_day.chains') }}</legend>
    <p v-if="!usable.length" class="muted">{{ t('pot_day.none') }}</p>
    <ChainForPot
      v-for="chain in waiting"
      :key="chain.id"
      v-model:taken="taken"
      v-model:first="first[chain.id]!"
      v-model:rinse="rinse[chain.id]!"
      v-model:powder="powder"
      :chain="chain"
      :rinses="rinses" />
    <details v-if="others.length" :open="!waiting.length" data-test="other-chains">
      <summary>{{ t('pot_day.others') }}</summary>
      <ChainForPot
        v-for="chain in others"
        :key="chain.id"
        v-model:taken="taken"
        v-model:first="first[chain.id]!"
        v-model:rinse="rinse[chain.id]!"
        v-model:powder="powder"
        :chain="chain"
        :rinses="rinses" />
    </details>
    <p v-if="problem" class="ember" role="alert" data-test="chains-problem">{{ problem }}</p>
    <details v-if="refused.length" :open="!phone && refused.some((chain) => chain.refusal?.remedy)">
      <summary>{{ t('pot_day.show_refused') }}</summary>
      <p v-for="chain in refused" :key="chain.id" class="small refused" :data-test="`refused-${chain.name}`">
        {{ chain.refusal?.text }}
        <button
          v-if="chain.refusal?.remedy === 'measure' || chain.refusal?.remedy === 'retire'"
          type="button"
          class="as-link"
          :data-test="`${chain.refusal.remedy}-${chain.name}`"
          @click="emit('settle', chain.refusal.remedy, chain)">
          {{ t(`pot_day.${chain.refusal.remedy}`) }}
        </button>
        <Link v-if="chain.refusal?.remedy === 'strip'" class="as-link" :href="`/strip?chains[]=${chain.id}`">{{ t('pot_day.strip') }}</Link>
      </p>
    </details>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  min-width: 0;
}
details {
  margin-top: 8px;
}
.refused {
  margin: 4px 0;
}
</style>
