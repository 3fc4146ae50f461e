<script setup lang="ts">
import SystemSelect from '@/components/forms/SystemSelect.vue'
import { t } from '@/composables/useText'
import type { PlannedBath } from '@/types/server'

/** Each bath of the plan: where its solvent comes from and goes to, and what it should leave. */
defineProps<{ baths: PlannedBath[]; problems: Record<string, string | undefined> }>()
const emit = defineEmits<{ choose: [bath: number, source: { jar: number | null; into: number | null }] }>()
</script>

<template>
  <ol class="baths" :aria-label="t('strip_plan.baths')">
    <li v-for="(bath, i) in baths" :key="i" :data-test="`bath-${i + 1}`">
      <span class="n big">{{ i + 1 }}</span>
      <div class="what">
        <b>{{ bath.solvent }}</b><span class="muted"
          >{{ bath.takes }}<template v-if="bath.untilClear">, {{ t('strip_plan.until_clear') }}</template></span
        >
      </div>
      <div v-if="bath.stocked" class="choose">
        <label v-if="bath.from.length > 1"
          ><span>{{ t('strip_plan.from') }}</span
          ><SystemSelect
            :model-value="bath.jar"
            :options="bath.from"
            :data-test="`from-${i + 1}`"
            @update:model-value="emit('choose', i, { jar: $event, into: null })"
        /></label>
        <span v-else class="muted">{{ bath.from[0]?.title }}</span>
        <label v-if="bath.jar === null && bath.intoChoices.length > 1"
          ><span>{{ t('strip_plan.into') }}</span
          ><SystemSelect
            :model-value="bath.into"
            :options="bath.intoChoices"
            :data-test="`into-${i + 1}`"
            @update:model-value="emit('choose', i, { jar: null, into: $event })"
        /></label>
      </div>
      <span v-else />
      <span class="left"
        ><b>{{ bath.left }}</b
        ><small class="muted">{{ t('strip_plan.left') }}</small></span
      >
      <p v-if="problems[`sources.${i}`]" class="ember problem" role="alert">{{ problems[`sources.${i}`] }}</p>
    </li>
  </ol>
</template>

<style scoped>
.baths {
  list-style: none;
  padding: 0;
  margin: 8px 0 0;
}
li {
  display: grid;
  grid-template-columns: 26px 132px minmax(0, 1fr) 112px;
  gap: 6px 12px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
.n {
  font-size: var(--type-5);
}
.what,
.left {
  display: grid;
  line-height: 1.25;
}
.left {
  text-align: right;
}
.choose {
  display: flex;
  gap: 6px 10px;
}
label {
  flex: 0 1 auto;
  display: grid;
  font-size: var(--type-2);
  color: var(--steel);
  min-width: 0;
}
select {
  width: 100%;
}
small {
  font-size: var(--type-1);
}
.problem {
  grid-column: 2 / -1;
  margin: 0;
}
@media (max-width: 52.49em) {
  li {
    grid-template-columns: 22px minmax(0, 1fr) 112px;
  }
  .choose {
    flex-wrap: wrap;
    grid-column: 2 / -1;
    grid-row: 2;
  }
}
</style>
