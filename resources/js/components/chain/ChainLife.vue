<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { computed, ref } from 'vue'
import MomentDialog from '@/components/forms/MomentDialog.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { ChainPage, TimelineEntryView } from '@/types/server'

/**
 * What happened to a chain, coat by coat as bars on one scale, the newest first; within a coat what was done, which a writer moves in
 * time or takes out.
 */
defineProps<{ chain: ChainPage['chain']; timeline: ChainPage['timeline']; mayWrite: boolean }>()
const moving = ref<TimelineEntryView | null>(null)
const moveOpen = computed({ get: () => moving.value !== null, set: (on: boolean) => !on && (moving.value = null) })
const remove = (entry: TimelineEntryView) => write('delete', `/entries/${entry.type}/${entry.id}`)
const older = () => router.reload({ data: { all: 1 } })
</script>

<template>
  <section aria-labelledby="life">
    <h2 id="life">{{ t('chain.life') }}</h2>
    <p v-if="!timeline.cycles.length" class="muted">{{ t('chain.no_entries') }}</p>
    <template v-else>
      <p class="muted small">{{ t('chain.cycles_text') }}</p>
      <details v-for="cycle in timeline.cycles" :key="cycle.key" :open="cycle.open" data-test="cycle">
        <summary>
          <b class="title">{{ cycle.title }}</b>
          <span class="bar" aria-hidden="true">
            <span class="fill" :class="{ going: cycle.open }" :style="{ width: `${100 * cycle.share}%` }" />
            <span v-if="timeline.interval !== null" class="due" :style="{ left: `${100 * timeline.interval}%` }" />
          </span>
          <span class="text">{{ cycle.text }}</span>
        </summary>
        <ol class="done">
          <li v-for="(entry, i) in cycle.entries" :key="`${entry.type}-${entry.id}-${i}`" :class="entry.type" data-test="life-entry">
            <span class="day"
              >{{ entry.day }}<span v-if="entry.time" class="muted">, {{ entry.time }}</span></span
            >
            <span class="dot" aria-hidden="true" />
            <span class="text"
              >{{ entry.text }}<span v-if="entry.left" class="muted">, {{ entry.left }}</span></span
            >
            <span v-if="mayWrite && entry.id !== null" class="edit">
              <button
                v-if="entry.time && entry.type !== 'openings'"
                type="button"
                class="as-link quiet"
                :aria-label="`${t('verbs.move')}: ${entry.text}, ${entry.day}`"
                @click="moving = entry">
                {{ t('verbs.move') }}
              </button>
              <button
                type="button"
                class="as-link quiet"
                :aria-label="`${t('verbs.delete')}: ${entry.text}, ${entry.day}`"
                :data-test="`delete-${entry.type}`"
                @click="remove(entry)">
                {{ t('verbs.delete') }}
              </button>
            </span>
          </li>
        </ol>
      </details>
      <p v-if="timeline.interval !== null" class="scale small muted" aria-hidden="true">
        <span :style="{ left: `${100 * timeline.interval}%` }">{{ timeline.intervalText }}</span>
      </p>
    </template>
    <div class="row more">
      <PushButton v-if="timeline.more" @click="older">{{ t('chain.older') }} ({{ timeline.more }})</PushButton>
      <Link :href="`/history?chain=${chain.id}`">{{ t('nav.history') }}</Link>
    </div>
    <MomentDialog
      v-if="mayWrite && moving"
      v-model="moveOpen"
      what="move"
      method="put"
      :subject="moving.text"
      :url="`/entries/${moving.type}/${moving.id}`"
      :date="moving.date"
      :time="moving.clock" />
  </section>
</template>

<style scoped>
details {
  border-bottom: 1px solid var(--line);
}
summary {
  display: grid;
  grid-template-columns: 170px minmax(0, 2fr) minmax(0, 3fr);
  gap: 14px;
  align-items: center;
  min-height: 36px;
  text-decoration: none;
}
summary .title::before {
  content: '▸ ';
  color: var(--steel);
}
details[open] .title::before {
  content: '▾ ';
}
.bar,
.scale {
  position: relative;
  display: block;
  height: 18px;
}
.fill {
  position: absolute;
  inset: 2px auto 2px 0;
  min-width: 2px;
  background: var(--coat);
  border: 1px solid var(--coat-line);
}
.fill.going {
  border-right-style: dashed;
}
.due {
  position: absolute;
  inset: 0 auto 0 0;
  border-left: 1.5px dashed var(--ink);
}
.scale {
  margin: 2px 0 0 184px;
  width: calc((100% - 198px) * 0.4);
}
.scale span {
  position: absolute;
  transform: translateX(-50%);
  white-space: nowrap;
}
.done {
  list-style: none;
  padding: 0;
  margin: 0 0 10px 18px;
}
.done li {
  display: grid;
  grid-template-columns: 170px 18px minmax(0, 1fr) auto;
  gap: 10px;
  align-items: baseline;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
.day {
  font-size: var(--type-2);
}
.dot {
  width: 9px;
  height: 9px;
  border-radius: 50%;
  background: var(--steel-2);
  align-self: center;
  justify-self: center;
}
.dips .dot {
  background: var(--coat);
  border: 1.5px solid var(--coat-line);
  width: 14px;
  height: 14px;
}
.topups .dot {
  background: var(--coat);
  border: 1.5px solid var(--coat-line);
}
.fittings .dot,
.off .dot,
.strips .dot,
.retirements .dot {
  background: var(--ink);
  border-radius: 1px;
}
.readings .dot {
  background: transparent;
  border: 1.5px solid var(--ink);
}
.dips .text,
.fittings .text,
.strips .text,
.noises .text,
.retirements .text {
  font-weight: 680;
}
.edit {
  white-space: nowrap;
}
.more {
  margin-top: 16px;
  gap: 18px;
}
@media (max-width: 52.49em) {
  summary {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    min-height: 44px;
    gap: 2px 12px;
    padding: 4px 0;
  }
  summary .text {
    grid-column: 1 / -1;
    font-size: var(--type-2);
  }
  .scale {
    display: none;
  }
  .done li {
    grid-template-columns: 18px minmax(0, 1fr);
  }
  .done .day {
    grid-column: 2;
    grid-row: 1;
    font-size: var(--type-2);
    color: var(--steel);
  }
  .done .dot {
    grid-row: 1 / 3;
  }
  .done .text,
  .done .edit {
    grid-column: 2;
  }
  .edit button {
    padding: 2px 18px 2px 0;
  }
}
</style>
