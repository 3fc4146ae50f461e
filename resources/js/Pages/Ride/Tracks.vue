<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { computed, reactive, watch } from 'vue'
import PushButton from '@/components/layout/PushButton.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import AppShell from '@/components/layout/AppShell.vue'
import ImportList from '@/components/ride/ImportList.vue'
import SystemSelect from '@/components/forms/SystemSelect.vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import type { TracksPage, WaitingTrack } from '@/types/server'

/** Many ride files at once: of each the bike and what it was like, then all of them in one action. */
const props = defineProps<TracksPage & { rest?: WaitingTrack[] }>()
// The first are there at once; of many the others come after the page.
const tracks = computed(() => [...props.tracks, ...(props.rest ?? [])])
const missing = computed(() => props.count - tracks.value.length)
interface Choice {
  bike: number | null
  condition: string
  out: boolean
}
const chosen = reactive<Record<string, Choice>>({})
// More come while an archive is read; what was chosen of the others stays.
watch(
  tracks,
  (now) => {
    for (const track of now)
      chosen[track.id] ??= {
        bike: track.bike,
        condition: track.condition ?? 'dry',
        out: track.against !== null || track.alike !== null,
      }
  },
  { immediate: true },
)
const bikes = computed(() => [...props.bikes, { value: null, title: t('tracks.unsure') }])
const rides = computed(() =>
  tracks.value
    .filter((track) => !chosen[track.id]?.out)
    .map((track) => ({ track: track.id, bike_id: chosen[track.id]?.bike ?? null, condition: chosen[track.id]?.condition ?? 'dry' })),
)
const all = computed({
  get: () => {
    const found = new Set(rides.value.map((ride) => ride.condition))
    return found.size === 1 ? ([...found][0] ?? '') : ''
  },
  set: (condition: string) => Object.values(chosen).forEach((one) => (one.condition = condition)),
})
const likely = computed(() => tracks.value.filter((track) => track.likely && chosen[track.id]?.condition !== track.likely.value))
const pick = (track: WaitingTrack) => {
  const one = chosen[track.id]
  if (one && track.likely) one.condition = track.likely.value
}
const { form, submit } = useActionForm({})
form.transform((data) => ({ ...data, rides: rides.value }))
const take = () => submit('post', '/tracks/take-in')
const wrong = computed(() => Object.entries(form.errors as Record<string, string | undefined>))
const leave = () => router.delete('/tracks')
</script>

<template>
  <AppShell :title="t('tracks.title')" at="rides">
    <div class="page">
      <h1>{{ t('tracks.title') }}</h1>
      <ImportList v-if="imports.length" :imports="imports" />
      <p class="muted">{{ tracks.length ? t('tracks.text') : t('tracks.none') }}</p>
      <template v-if="tracks.length">
        <div class="row">
          <TapChoice v-model="all" :legend="t('tracks.all')" :options="conditions" test="all" />
          <PushButton v-if="likely.length > 1" data-test="take-likely" @click="likely.forEach(pick)">{{
            t('tracks.take_likely')
          }}</PushButton>
        </div>
        <ol>
          <li v-for="track in tracks" :key="track.id" :class="{ out: track.against }" :data-test="`track-${track.name}`">
            <span class="what"
              ><b>{{ track.start }}</b> {{ track.km }}<template v-if="track.moving">, {{ track.moving }}</template
              ><span class="muted small"
                >{{ track.name }}<template v-if="track.inbox">, {{ t('tracks.from_device') }}</template></span
              ><label v-if="track.alike && chosen[track.id]" class="small alike"
                ><b>{{ track.alike }}</b>
                <input
                  type="checkbox"
                  :checked="!chosen[track.id]!.out"
                  :aria-label="`${t('tracks.all_the_same')}: ${track.name}`"
                  @change="chosen[track.id]!.out = !($event.target as HTMLInputElement).checked" />
                {{ t('tracks.all_the_same') }}</label
              ></span
            >
            <template v-if="track.against === null && chosen[track.id]">
              <span class="bike">
                <SystemSelect
                  v-model="chosen[track.id]!.bike"
                  :options="bikes"
                  :aria-label="`${t('tracks.bike')}: ${track.name}`"
                  data-test="track-bike" />
                <span class="muted small">{{ track.because }}</span>
              </span>
              <span class="bike">
                <SystemSelect
                  v-model="chosen[track.id]!.condition"
                  :options="conditions"
                  :aria-label="`${t('tracks.condition')}: ${track.name}`"
                  data-test="track-condition" />
                <button
                  v-if="track.likely && chosen[track.id]!.condition !== track.likely.value"
                  type="button"
                  class="as-link quiet"
                  data-test="likely"
                  :aria-label="`${track.likely.text}: ${track.name}`"
                  @click="pick(track)">
                  {{ track.likely.text }}
                </button>
              </span>
            </template>
            <span v-else class="against"
              ><b>{{ t('tracks.skip') }}</b
              >: {{ track.against }} <Link v-if="track.byItself" :href="`/tracks/${track.id}`">{{ t('tracks.by_itself') }}</Link></span
            >
          </li>
        </ol>
        <p v-if="missing > 0" class="muted" role="status" data-test="missing">{{ t('tracks.missing', { count: missing }) }}</p>
        <p v-for="[field, message] in wrong" :key="field" class="ember" role="alert">{{ message }}</p>
        <div class="row acts in-sight">
          <PushButton main :disabled="!rides.length || missing > 0" :loading="form.processing" data-test="take-in" @click="take">{{
            t('tracks.take_in', { count: rides.length })
          }}</PushButton>
          <PushButton data-test="leave" @click="leave">{{ t('tracks.leave') }}</PushButton>
        </div>
      </template>
      <Link v-else href="/rides">{{ t('nav.rides') }}</Link>
    </div>
  </AppShell>
</template>

<style scoped>
ol {
  list-style: none;
  padding: 0;
  margin: 14px 0;
  border-top: 1px solid var(--ink);
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 260px 260px;
  gap: 14px;
  align-items: start;
  padding: 9px 0 8px;
  border-bottom: 1px solid var(--line);
  /* A thousand of them: what is not in sight is not laid out. */
  content-visibility: auto;
  contain-intrinsic-size: auto 64px;
}
li.out {
  grid-template-columns: minmax(0, 1fr) 534px;
}
.row {
  align-items: end;
  gap: 14px;
}
select {
  width: 100%;
}
.what span,
.bike span.small,
.alike {
  display: block;
}
.alike input {
  width: 16px;
  height: 16px;
  vertical-align: -3px;
  margin-left: 8px;
  accent-color: var(--ink);
}
.acts {
  gap: 12px;
}
@media (max-width: 52.49em) {
  li,
  li.out {
    grid-template-columns: minmax(0, 1fr);
    gap: 8px;
  }
}
</style>
