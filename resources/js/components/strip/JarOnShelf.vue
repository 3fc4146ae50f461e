<script setup lang="ts">
import { computed } from 'vue'
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'
import type { JarView } from '@/types/server'

/** A jar as it stands on the shelf: its cleanings are drawn as marks on the glass, the dirtier the darker. */
const props = defineProps<{ jar: JarView; mayWrite: boolean }>()
const emit = defineEmits<{ tend: []; change: []; discard: [] }>()
const marks = computed(() => Array.from({ length: props.jar.allowed ?? 0 }, (_, i) => i < props.jar.done))
const dirt = computed(() => (props.jar.allowed ? Math.min(1, props.jar.done / props.jar.allowed) : 0))
</script>

<template>
  <article class="jar" :class="{ spent: jar.spent }" :aria-labelledby="`jar-${jar.id}`" :data-test="`jar-${jar.name}`">
    <svg viewBox="0 0 76 112" width="76" height="112" aria-hidden="true">
      <rect x="14" y="2" width="48" height="13" rx="2" fill="var(--ink)" />
      <path
        d="M12 15h52v6c6 3 8 7 8 13v68a8 8 0 0 1-8 8H12a8 8 0 0 1-8-8V34c0-6 2-10 8-13Z"
        fill="var(--paper)"
        stroke="var(--ink)"
        stroke-width="1.8" />
      <path v-if="!jar.empty" d="M6 48h64v54a6 6 0 0 1-6 6H12a6 6 0 0 1-6-6Z" fill="var(--steel-2)" opacity=".28" />
      <path v-if="!jar.empty" d="M6 48h64v54a6 6 0 0 1-6 6H12a6 6 0 0 1-6-6Z" fill="var(--link-line)" :opacity="dirt * 0.75" />
      <line
        v-for="(on, i) in marks"
        :key="i"
        x1="54"
        x2="70"
        :y1="102 - i * 5"
        :y2="102 - i * 5"
        :stroke="on ? 'var(--ink)' : 'var(--steel-2)'"
        :stroke-width="on ? 3 : 1.2" />
      <text v-if="jar.role === 'waste'" x="38" y="84" text-anchor="middle" font-size="22" font-weight="760" fill="var(--ink)">!</text>
    </svg>
    <div class="words">
      <h3 :id="`jar-${jar.id}`" class="wide">{{ jar.name }}</h3>
      <p class="muted small">
        <b v-if="jar.signal && !jar.empty" class="signal">{{ jar.signal }}</b>{{ jar.roleName
        }}<template v-if="jar.since">, {{ jar.since }}</template>
      </p>
      <p class="holds">{{ jar.holds }}</p>
      <p v-if="jar.cleanings" :title="jar.because" data-test="cleanings">
        {{ jar.cleanings }}<small class="muted">{{ jar.because }}</small>
      </p>
      <p v-if="jar.grease" class="muted small">{{ jar.grease }}</p>
      <p v-if="jar.spent" class="ember strong">{{ jar.spent }}</p>
      <p v-if="jar.settling" class="strong">{{ jar.settling }}</p>
      <p v-if="jar.inJob" class="strong">{{ jar.inJob }}</p>
      <div class="row">
        <PushButton
          v-if="mayWrite && jar.acts.length && !jar.inJob"
          :data-test="`tend-${jar.name}`"
          :aria-label="`${t('jars.tend')}: ${jar.name}`"
          @click="emit('tend')"
          >{{ t('jars.tend') }}</PushButton
        >
        <template v-if="mayWrite && !jar.inJob">
          <button
            type="button"
            class="as-link"
            :aria-label="`${t('jars.edit')}: ${jar.name}`"
            :data-test="`change-${jar.name}`"
            @click="emit('change')">
            {{ t('jars.edit') }}
          </button>
          <button v-if="jar.unused" type="button" class="as-link" :data-test="`discard-${jar.name}`" @click="emit('discard')">
            {{ t('jars.remove') }}
          </button>
        </template>
      </div>
    </div>
  </article>
</template>

<style scoped>
.jar {
  display: grid;
  grid-template-columns: 76px minmax(0, 1fr);
  gap: 16px;
  padding: 14px 0;
  border-top: 7px solid var(--wood);
}
h3 {
  font-size: var(--type-4);
  margin: 0;
}
p {
  margin: 0;
}
.holds {
  font-weight: 680;
  font-size: var(--type-4);
  margin-top: 4px;
}
small {
  display: block;
}
.strong {
  font-weight: 680;
}
</style>
