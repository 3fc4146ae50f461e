<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import PushButton from '@/components/layout/PushButton.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import { t } from '@/composables/useText'
import { openForm, type QuickVerb } from '@/composables/wantedForm'
import { knownRails } from '@/offline/entries'
import type { RailView } from '@/types/server'

/** What is written down most, for one bike: two taps from anywhere. The form itself opens on the Shed. */
const open = defineModel<boolean>({ required: true })
const rails = ref<RailView[]>([])
const chosen = ref('')
onMounted(async () => {
  rails.value = await knownRails().catch(() => [])
  chosen.value = String((rails.value.find((rail) => rail.today) ?? rails.value[0])?.id ?? '')
})
const rail = computed(() => rails.value.find((one) => String(one.id) === chosen.value))
const verbs = computed<QuickVerb[]>(() => {
  const on = rail.value?.fitted
  return [
    'ride',
    ...(rail.value?.hanging.length ? (['swap'] as const) : []),
    ...(on || !rail.value ? (['topup', 'measure', 'loud'] as const) : []),
  ]
})
function go(verb: QuickVerb): void {
  open.value = false
  openForm(verb, rail.value?.id ?? null)
}
</script>

<template>
  <v-dialog v-model="open" :aria-label="t('nav.add')" class="sheet-below" max-width="480">
    <v-card data-test="add-sheet">
      <div class="in">
        <div class="verbs">
          <PushButton v-for="(verb, i) in verbs" :key="verb" :main="i === 0" :data-test="`add-${verb}`" @click="go(verb)">{{
            t(`verbs.${verb}`)
          }}</PushButton>
        </div>
        <TapChoice
          v-if="rails.length > 1"
          v-model="chosen"
          :legend="t('ride.bike')"
          :options="rails.map((one) => ({ value: String(one.id), title: one.name }))"
          test="add-bike" />
      </div>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.in {
  padding: 16px 14px;
  display: grid;
  gap: 16px;
}
.verbs {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
.verbs .push {
  --push-height: 52px;
  font-size: var(--type-4);
}
</style>
