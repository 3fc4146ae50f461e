<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { computed } from 'vue'
import FlowSteps from '@/components/strip/FlowSteps.vue'
import PushButton from '@/components/layout/PushButton.vue'
import ResidueBars from '@/components/guided/ResidueBars.vue'
import { t } from '@/composables/useText'
import type { JobStateView, JobView } from '@/types/server'

/** A strip, a drip or a job at a bike that is over: what it came to, and where to go from here. */
const props = defineProps<{ job: JobView; state: JobStateView }>()
const atBike = computed(() => (props.job.kind === 'fit' || props.job.kind === 'care' ? props.job.kind : null))
const title = computed(() => {
  if (props.state.givenUp) return t('job.given_up')
  if (atBike.value) return t(`job.finished_${atBike.value}`)
  return props.job.dripOnly ? t('job.finished_drip') : t('job.finished')
})
const then = computed(() =>
  props.job.dripOnly ? `/chains/${props.job.chainIds[0]}/drip` : `/pot-day?${props.job.chainIds.map((id) => `chains[]=${id}`).join('&')}`,
)
const text = computed(() => {
  if (props.state.givenUp) return atBike.value ? t('job.given_up_bike') : t('job.given_up_text')
  return atBike.value || props.job.dripOnly ? '' : t('job.finished_text')
})
</script>

<template>
  <div class="over page" data-test="job-over">
    <FlowSteps v-if="!state.givenUp && job.kind === 'strip' && !job.dripOnly" at="pot" />
    <h1>{{ title }}</h1>
    <p v-if="text">{{ text }}</p>
    <p v-if="state.recorded" data-test="recorded">{{ state.recorded.undone ? t('job.undone') : state.recorded.text }}</p>
    <div class="row">
      <PushButton v-if="job.kind === 'strip' && !state.givenUp" main data-test="pot-next" @click="router.visit(then)">{{
        job.dripOnly ? t('job.drip_next') : t('job.pot_next')
      }}</PushButton>
      <PushButton :main="job.kind !== 'strip'" data-test="to-shed" @click="router.visit('/')">{{ t('job.shed') }}</PushButton>
      <Link v-for="(name, i) in job.chains" :key="name" :href="`/chains/${job.chainIds[i]}`">{{ name }}</Link>
    </div>
    <ResidueBars v-if="state.residues" class="after" :residues="state.residues" />
  </div>
</template>

<style scoped>
.over {
  max-width: 720px;
  margin-inline: auto;
}
.over p {
  font-size: var(--type-4);
  margin: 12px 0 0;
}
.over .row {
  margin: 20px 0 28px;
  gap: 16px;
}
h1 {
  font-size: clamp(2.125rem, 5vw, 3.625rem);
  letter-spacing: -1px;
  line-height: 1.05;
}
</style>
