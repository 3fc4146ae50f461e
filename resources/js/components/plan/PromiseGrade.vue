<script setup lang="ts">
import BandLine from '@/components/charts/BandLine.vue'
import type { GradeView } from '@/types/server'

/** One kind of promise: how many were kept, how sure that share is, and what was promised. */
defineProps<{ grade: GradeView }>()
</script>

<template>
  <article :data-test="`grade-${grade.kind}`">
    <div class="head">
      <h3>{{ grade.name }}</h3>
      <b v-if="grade.share" class="share">{{ grade.share }}</b>
    </div>
    <p class="small">{{ grade.text }}</p>
    <BandLine
      v-if="grade.band"
      :low="grade.band.low"
      :high="grade.band.high"
      :at="grade.band.at"
      :mark="grade.band.promised"
      :label="`${grade.name}: ${grade.share}`" />
    <p class="muted small">{{ [grade.kept, ...grade.sentences].join(' ') }}</p>
  </article>
</template>

<style scoped>
article {
  padding: 10px 0 8px;
  border-bottom: 1px solid var(--line);
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 10px;
}
h3,
p {
  margin: 0;
}
.share {
  font-variant-numeric: tabular-nums;
}
</style>
