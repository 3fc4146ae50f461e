<script setup lang="ts">
import { computed } from 'vue'
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'
import type { WhyView } from '@/types/server'

/** WhyView a figure is what it is: formula, inputs, steps, source. All of it told by the core. */
const figure = defineModel<string | null>({ required: true })
const props = defineProps<{ why: WhyView[] }>()
const shown = computed(() => props.why.find((other) => other.figure === figure.value) ?? null)
</script>

<template>
  <v-dialog :model-value="shown !== null" max-width="640" aria-labelledby="why-title" @update:model-value="figure = null">
    <v-card v-if="shown" class="sheet" data-test="why" :data-value="shown.value">
      <h1 id="why-title">{{ shown.title }}</h1>
      <p class="formula">{{ shown.formula }}</p>
      <div class="scroll" tabindex="0" role="region" :aria-label="t('chain.input')">
        <table class="plain">
          <thead>
            <tr>
              <th>{{ t('chain.input') }}</th>
              <th class="num">{{ t('chain.value') }}</th>
              <th>{{ t('chain.origin') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(line, i) in shown.lines" :key="i" data-test="why-line" :data-code="line.code" :data-number="line.number">
              <td>
                {{ line.text }}<span v-if="line.left" class="muted left">{{ line.left }}</span>
              </td>
              <td class="num">{{ line.value }}</td>
              <td class="muted">{{ line.origin }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="muted small source">{{ shown.source }}</p>
      <div class="row">
        <PushButton autofocus data-test="why-close" @click="figure = null">{{ t('verbs.close') }}</PushButton>
      </div>
    </v-card>
  </v-dialog>
</template>

<style scoped>
h1 {
  font-size: var(--type-5);
}
.formula {
  margin: 10px 0 12px;
  padding: 8px 10px;
  border-left: 3px solid var(--ink);
  background: var(--wall);
  font-weight: 560;
}
.scroll {
  overflow-y: auto;
  max-height: 46vh;
}
.left {
  display: block;
  font-size: var(--type-2);
}
.source {
  margin: 12px 0;
}
</style>
