<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import ChainOnHook from '@/components/chain/ChainOnHook.vue'
import HookTag from '@/components/chain/HookTag.vue'
import WearRule from '@/components/chain/WearRule.vue'
import { t } from '@/composables/useText'
import type { ChainView } from '@/types/server'

defineProps<{ chain: ChainView; draggable: boolean }>()
const emit = defineEmits<{ grab: [event: PointerEvent] }>()
</script>

<template>
  <li class="hang" :data-test="`hanging-${chain.name}`">
    <div
      class="art"
      :class="{ movable: draggable }"
      :title="draggable ? t('shed.drag_hint') : undefined"
      :data-test="`grab-${chain.name}`"
      @pointerdown="draggable && emit('grab', $event)">
      <ChainOnHook :coat="chain.coat" :unsure="chain.unsure" />
      <HookTag class="tag" :label="chain.label" :ready="chain.ready" />
    </div>
    <div class="words">
      <Link :href="`/chains/${chain.id}`" class="state" :class="{ ember: chain.late }" :data-test="`chain-${chain.name}`"
        ><span class="sr">{{ chain.name }}, </span>{{ chain.word }}</Link
      >
      <Link v-if="chain.job" :href="`/jobs/${chain.job}`" class="detail" :data-test="`job-${chain.name}`">{{ chain.detail }}</Link>
      <Link v-else-if="draggable && chain.greasy" :href="`/strip?chains[]=${chain.id}`" class="detail" :data-test="`strip-${chain.name}`">{{
        chain.detail
      }}</Link>
      <span v-else class="detail muted">{{ chain.detail }}</span>
      <WearRule :wear="chain.wear" />
      <span class="measured muted">{{ chain.wearLine }}</span>
      <Link v-if="chain.wear.due && draggable" :href="`/gauge?measure=${chain.id}`" class="due" :data-test="`due-${chain.name}`">{{
        t('shed.measure_due')
      }}</Link>
      <span v-else-if="chain.wear.due" class="due">{{ t('shed.measure_due') }}</span>
    </div>
  </li>
</template>

<style scoped>
.hang {
  flex: 1 1 124px;
  max-width: 168px;
  list-style: none;
  position: relative;
}
.art {
  position: relative;
  width: 64px;
  margin-left: 18px;
}
.art.movable {
  cursor: grab;
  user-select: none;
}
.art.movable:active {
  cursor: grabbing;
}
.tag {
  position: absolute;
  left: 70px;
  top: 22px;
}
.words {
  display: flex;
  flex-direction: column;
  padding-left: 12px;
}
.state {
  font-weight: 680;
  font-size: var(--type-2);
  text-decoration: none;
  width: fit-content;
}
.state:hover {
  text-decoration: underline;
}
a.state,
a.detail {
  min-height: 24px;
  display: inline-flex;
  align-items: center;
}
.detail {
  font-size: var(--type-2);
  margin-bottom: 8px;
  min-height: 16px;
}
.due {
  font-size: var(--type-2);
  font-weight: 680;
  min-height: 24px;
  display: inline-flex;
  align-items: center;
}
.measured {
  font-size: var(--type-1);
  margin-top: 3px;
}
@media (max-width: 37.49em) {
  .hang {
    width: 100%;
    max-width: none;
    display: grid;
    grid-template-columns: 84px 1fr;
    align-items: start;
  }
  .hang + .hang {
    border-top: 7px solid var(--wood);
  }
  a.state,
  a.detail {
    min-height: 44px;
    min-width: 44px;
  }
  .art {
    width: 38px;
    margin-left: 2px;
  }
  .tag {
    left: 44px;
    top: 18px;
  }
  .words {
    padding: 2px 0 6px;
  }
  .detail {
    margin-bottom: 2px;
  }
}
</style>
