<script setup lang="ts">
import { router } from '@inertiajs/vue3'
import { computed } from 'vue'
import ChainRun from '@/components/chain/ChainRun.vue'
import PushButton from '@/components/layout/PushButton.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import DayAndTime from '@/components/forms/DayAndTime.vue'
import TickBox from '@/components/forms/TickBox.vue'
import AppShell from '@/components/layout/AppShell.vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import type { TrackPage } from '@/types/server'

const props = defineProps<TrackPage>()
const { form, submit } = useActionForm({
  bike_id: props.bike,
  condition: props.condition,
  date: props.forms.date,
  time: '',
  loud: false,
})
const bikes = computed(() => [
  ...props.forms.bikes.map((bike) => ({ value: bike.id as number | null, title: bike.name })),
  ...(props.forms.bikes.length > 1 ? [{ value: null, title: t('ride.not_sure') }] : []),
])
const outcome = computed(() => (form.bike_id === null ? undefined : props.outcomes.find((other) => other.bike === props.bike)))
const look = () =>
  form.bike_id !== null &&
  router.get(
    `/tracks/${props.track.id}`,
    { bike: form.bike_id, condition: form.condition },
    { preserveState: true, preserveScroll: true, replace: true },
  )
const keep = () => submit('post', `/tracks/${props.track.id}/keep`)
const discard = () => router.delete(`/tracks/${props.track.id}`)
</script>

<template>
  <AppShell :title="t('track.title')" at="rides">
    <form class="page narrow" novalidate @submit.prevent="keep">
      <h1>{{ t('track.title') }}</h1>
      <p class="muted name">{{ track.name }}, {{ track.extent }}</p>
      <p class="figure" data-test="track-km">
        <span class="big">{{ track.km }}</span><span v-if="track.moving" class="muted"
          >{{ track.moving }} {{ t('track.moving') }}, {{ track.elapsed }} {{ t('track.elapsed') }}</span
        >
      </p>
      <p class="start">{{ track.start ?? t('track.no_start') }}</p>
      <p v-if="same" class="ember note" role="alert" data-test="same-track">{{ same }}</p>
      <template v-else>
        <p v-if="overlap" class="caution" role="status">{{ overlap }}</p>
        <div class="fields">
          <v-select
            v-model="form.bike_id"
            :items="bikes"
            :label="t('ride.bike')"
            :error-messages="form.errors.bike_id"
            @update:model-value="look" />
          <TapChoice
            v-model="form.condition"
            :legend="t('ride.condition')"
            :options="forms.conditions"
            test="condition"
            even
            @update:model-value="look" />
          <DayAndTime
            v-if="!track.start"
            v-model:date="form.date"
            v-model:time="form.time"
            :errors="form.errors"
            :time-hint="t('ride.time_hint')" />
          <TickBox v-model="form.loud" :label="t('ride.loud')" />
        </div>
        <p class="goes" data-test="outcome">{{ form.bike_id === null ? t('track.no_bike') : outcome?.text }}</p>
        <ChainRun v-if="outcome && outcome.coat !== null" :coat="outcome.coat" :left="outcome.text" class="after" />
        <p v-for="(message, field) in form.errors" :key="field" class="ember" role="alert">{{ message }}</p>
      </template>
      <div class="row">
        <PushButton v-if="!same" type="submit" main :loading="form.processing" data-test="keep-track">{{ t('track.keep') }}</PushButton>
        <PushButton data-test="discard-track" @click="discard">{{ t('track.discard') }}</PushButton>
      </div>
    </form>
  </AppShell>
</template>

<style scoped>
.narrow {
  margin-inline: auto;
  max-width: 620px;
}
.name {
  margin: 2px 0 14px;
  overflow-wrap: anywhere;
}
.figure {
  margin: 0;
  display: flex;
  gap: 10px;
  align-items: baseline;
  flex-wrap: wrap;
}
.big {
  font-size: var(--type-7);
}
.start {
  margin: 4px 0 18px;
  font-weight: 560;
}
.after {
  max-width: 420px;
  margin-bottom: 20px;
}
.goes {
  font-weight: 620;
  margin: 16px 0;
}
.note {
  font-weight: 560;
}
.caution {
  margin: 0 0 14px;
}
</style>
