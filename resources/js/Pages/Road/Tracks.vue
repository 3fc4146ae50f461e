<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { computed, reactive } from 'vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import AppShell from '@/components/layout/AppShell.vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'

/** Many ride files at once: of each the bike and what it was like, then all of them in one action. */
interface Track {
  id: string
  name: string
  start: string
  km: string
  moving: string
  bike: number | null
  because: string
  against: string | null
  byItself: boolean
}
const props = defineProps<{
  tracks: Track[]
  bikes: { value: number; title: string }[]
  conditions: { value: string; title: string }[]
}>()
const chosen = reactive(
  Object.fromEntries(props.tracks.map((track) => [track.id, { bike: track.bike, condition: 'dry', out: track.against !== null }])),
)
const bikes = computed(() => [...props.bikes, { value: null, title: t('tracks.unsure') }])
const rides = computed(() =>
  props.tracks
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
const { form, submit } = useActionForm({})
form.transform((data) => ({ ...data, rides: rides.value }))
const take = () => submit('post', '/tracks/take-in')
const wrong = computed(() => Object.entries(form.errors as Record<string, string | undefined>))
const leave = () => router.delete('/tracks')
</script>

<template>
  <AppShell :title="t('tracks.title')" at="road">
    <div class="page">
      <h1>{{ t('tracks.title') }}</h1>
      <p class="muted">{{ tracks.length ? t('tracks.text') : t('tracks.none') }}</p>
      <template v-if="tracks.length">
        <TapChoice v-model="all" :legend="t('tracks.all')" :options="conditions" test="all" />
        <ol>
          <li v-for="track in tracks" :key="track.id" :class="{ out: track.against }" :data-test="`track-${track.name}`">
            <span class="what"
              ><b>{{ track.start }}</b> {{ track.km }}<template v-if="track.moving">, {{ track.moving }}</template
              ><span class="muted small">{{ track.name }}</span></span
            >
            <template v-if="track.against === null && chosen[track.id]">
              <span class="bike">
                <v-select
                  v-model="chosen[track.id]!.bike"
                  :items="bikes"
                  density="compact"
                  hide-details
                  :label="t('tracks.bike')"
                  :aria-label="`${t('tracks.bike')}: ${track.name}`"
                  data-test="track-bike" />
                <span class="muted small">{{ track.because }}</span>
              </span>
              <v-select
                v-model="chosen[track.id]!.condition"
                :items="conditions"
                density="compact"
                hide-details
                class="condition"
                :label="t('tracks.condition')"
                :aria-label="`${t('tracks.condition')}: ${track.name}`" />
            </template>
            <span v-else class="against"
              ><b>{{ t('tracks.skip') }}</b
              >: {{ track.against }} <Link v-if="track.byItself" :href="`/tracks/${track.id}`">{{ t('tracks.by_itself') }}</Link></span
            >
          </li>
        </ol>
        <p v-for="[field, message] in wrong" :key="field" class="ember" role="alert">{{ message }}</p>
        <div class="row acts">
          <v-btn variant="flat" color="primary" :disabled="!rides.length" :loading="form.processing" data-test="take-in" @click="take">{{
            t('tracks.take_in', { count: rides.length })
          }}</v-btn>
          <v-btn data-test="leave" @click="leave">{{ t('tracks.leave') }}</v-btn>
        </div>
      </template>
      <Link v-else href="/road">{{ t('nav.road') }}</Link>
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
  grid-template-columns: minmax(0, 1fr) 300px 170px;
  gap: 14px;
  align-items: start;
  padding: 12px 0 9px;
  border-bottom: 1px solid var(--line);
}
li.out {
  grid-template-columns: minmax(0, 1fr) 484px;
}
.what span,
.bike span.small {
  display: block;
}
.acts {
  gap: 12px;
}
@media (max-width: 700px) {
  li,
  li.out {
    grid-template-columns: minmax(0, 1fr);
    gap: 10px;
  }
}
</style>
