<script setup lang="ts">
import { computed, ref } from 'vue'
import { t } from '@/composables/useText'
import { useWidth } from '@/composables/useWidth'
import type { TimeAxis } from '@/types/server'

/** The whole day on one time axis: a lane for the pot and one for each chain, and where now is. */
const props = defineProps<{ axis: TimeAxis }>()
const at = (seconds: number) => (100 * (seconds - props.axis.from)) / (props.axis.until - props.axis.from)
const lanes = computed(() =>
  props.axis.lanes.map((lane) => ({
    name: lane.name,
    blocks: lane.blocks.map((block) => ({ ...block, left: at(block.from), width: Math.max(0.4, at(block.to) - at(block.from)) })),
  })),
)
// A word that its block would cut is left out; the block says it to a screen reader and under the pointer.
const ruler = ref<HTMLElement | null>(null)
const width = useWidth(ruler)
const fits = (text: string, share: number) => (share / 100) * width.value > 7.2 * text.length + 14
const now = computed(() => (props.axis.now === null ? null : Math.min(100, Math.max(0, at(props.axis.now)))))
// A time that would lie half under that of now is left out; its line stays.
const NEAR_PX = 54
const named = computed(() =>
  props.axis.marks.filter((mark) => now.value === null || (Math.abs(at(mark.at) - now.value) / 100) * width.value > NEAR_PX),
)
</script>

<template>
  <div class="time" role="group" :aria-label="t('job.lanes')" data-test="lanes">
    <div ref="ruler" class="ruler" aria-hidden="true">
      <span v-for="mark in named" :key="mark.at" :style="{ left: `${at(mark.at)}%` }">{{ mark.text }}</span>
      <b v-if="now !== null" :style="{ left: `${now}%` }">{{ axis.nowText }}</b>
    </div>
    <ol>
      <li v-for="lane in lanes" :key="lane.name" :data-test="`lane-${lane.name}`">
        <span class="name">{{ lane.name }}</span>
        <ul class="lane">
          <li
            v-for="(block, i) in lane.blocks"
            :key="i"
            class="block"
            :class="[block.code, block.state]"
            :style="{ left: `${block.left}%`, width: `${block.width}%` }"
            :title="block.title">
            <span class="sr">{{ block.title }}</span>
            <span v-if="fits(block.text, block.width)" class="text" aria-hidden="true">{{ block.text }}</span>
          </li>
        </ul>
      </li>
    </ol>
    <div class="grid" aria-hidden="true">
      <i v-for="mark in axis.marks" :key="mark.at" :style="{ left: `${at(mark.at)}%` }" />
      <i v-if="now !== null" class="now" :style="{ left: `${now}%` }" />
    </div>
  </div>
</template>

<style scoped>
.time {
  --names: 112px;
  position: relative;
  padding: 10px 24px 16px;
}
ol,
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
.ruler,
.lane,
.grid {
  position: relative;
}
.ruler {
  height: 24px;
  margin-left: var(--names);
  font-size: var(--type-2);
  color: var(--steel);
}
.ruler span,
.ruler b {
  position: absolute;
  transform: translateX(-50%);
  white-space: nowrap;
}
.ruler b {
  background: var(--ink);
  color: var(--paper);
  border-radius: 3px;
  padding: 1px 7px;
  z-index: 2;
}
ol > li {
  display: grid;
  grid-template-columns: var(--names) minmax(0, 1fr);
  align-items: center;
  padding: 3px 0;
}
.name {
  font-weight: 620;
  font-size: var(--type-3);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  padding-right: 10px;
}
.lane {
  height: 32px;
}
.block {
  position: absolute;
  inset-block: 0;
  border: 1.2px solid var(--ink);
  border-radius: 3px;
  background: var(--paper);
  overflow: hidden;
  z-index: 1;
  display: flex;
  align-items: center;
}
.text {
  padding: 0 6px;
  font-size: var(--type-2);
  font-weight: 560;
  white-space: nowrap;
}
.heat {
  background: color-mix(in srgb, var(--amber) 62%, var(--coat));
}
.hold,
.under {
  background: var(--coat);
}
.drain {
  background: repeating-linear-gradient(135deg, var(--coat) 0 4px, var(--paper) 4px 8px);
}
.rinse,
.jars {
  background: color-mix(in srgb, var(--steel-2) 38%, var(--paper));
}
.flex {
  background: var(--ink);
  color: var(--paper);
}
.heat .text,
.hold .text,
.under .text {
  color: var(--on-coat);
}
.ahead {
  border-color: var(--steel-2);
}
.now.block {
  border-width: 2.5px;
}
.done.block {
  border-style: dashed;
  background-image: linear-gradient(color-mix(in srgb, var(--wall) 45%, transparent) 0 0);
}
.grid {
  position: absolute;
  inset: 34px 24px 14px calc(24px + var(--names));
  pointer-events: none;
}
.grid i {
  position: absolute;
  inset-block: 0;
  border-left: 1px solid var(--line);
}
.grid .now {
  border-left: 2px solid var(--ink);
  z-index: 2;
}
@media (max-width: 52.49em) {
  .time {
    --names: 74px;
    padding: 8px 14px 12px;
  }
  .grid {
    inset: 32px 14px 10px calc(14px + var(--names));
  }
  .ruler span:nth-child(even) {
    display: none;
  }
  .name {
    font-size: var(--type-2);
    padding-right: 6px;
  }
  .lane {
    height: 24px;
  }
  .text {
    display: none;
  }
}
</style>
