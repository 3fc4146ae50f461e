<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import AppShell from '@/components/layout/AppShell.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'
import type { ProtocolCardPage } from '@/types/server'

defineProps<ProtocolCardPage>()
const print = () => window.print()
</script>

<template>
  <AppShell :title="name" at="pot">
    <div class="page">
      <div class="row tools">
        <PushButton main data-test="print" @click="print">{{ t('labels.print') }}</PushButton>
        <Link href="/strip">{{ t('strip_plan.title') }}</Link>
      </div>
      <article class="card" data-test="bench-card">
        <h1>{{ name }}</h1>
        <p class="takes">{{ takes }}</p>
        <p v-if="notAdvised" class="warn">{{ notAdvised }}</p>
        <p class="takes">
          <b>{{ t('job.layout') }}:</b> {{ layout.join(' · ') }}
        </p>
        <ul class="ticks">
          <li v-for="tick in before" :key="tick">{{ tick }}</li>
        </ul>
        <ol>
          <li v-for="(line, i) in lines" :key="i">{{ line }}</li>
        </ol>
        <ul class="ticks">
          <li v-for="tick in after" :key="tick">{{ tick }}</li>
        </ul>
        <p class="small">{{ left }}</p>
        <div class="warn">
          <p v-for="hazard in hazards" :key="hazard.solvent">
            <b>{{ hazard.solvent }}.</b> {{ hazard.text }}
          </p>
          <p>{{ cautions.join(' ') }}</p>
        </div>
      </article>
    </div>
  </AppShell>
</template>

<style scoped>
.tools {
  gap: 16px;
  margin-bottom: 16px;
}
.card {
  background: #fff;
  color: #000;
  border: 0.5mm solid #000;
  border-radius: 1mm;
  padding: 8mm;
  max-width: 190mm;
}
h1 {
  font-size: 9mm;
}
p {
  margin: 1mm 0 0;
}
.takes {
  font-size: 4mm;
}
ol {
  padding-left: 8mm;
  margin: 4mm 0;
  font-size: 4.6mm;
  font-weight: 560;
}
ol li {
  padding: 1.1mm 0;
  border-bottom: 0.2mm solid #999;
}
.ticks {
  list-style: none;
  padding: 0;
  margin: 4mm 0 0;
}
.ticks li {
  padding: 0.8mm 0 0.8mm 7mm;
  position: relative;
}
.ticks li::before {
  content: '';
  position: absolute;
  left: 0;
  top: 1.4mm;
  width: 4mm;
  height: 4mm;
  border: 0.4mm solid #000;
}
.warn {
  border: 0.4mm solid #000;
  padding: 2mm 3mm;
  margin-top: 4mm;
  font-size: 3.5mm;
}
@media print {
  .tools {
    display: none;
  }
  .page {
    padding: 0;
  }
  .card {
    border: 0;
    padding: 0;
    max-width: none;
    break-inside: avoid;
  }
}
</style>
