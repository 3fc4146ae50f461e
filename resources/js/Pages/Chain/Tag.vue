<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { ref } from 'vue'
import ChainRun from '@/components/chain/ChainRun.vue'
import HookTag from '@/components/chain/HookTag.vue'
import PushButton from '@/components/layout/PushButton.vue'
import WearRule from '@/components/chain/WearRule.vue'
import DipDialog from '@/components/forms/DipDialog.vue'
import AppShell from '@/components/layout/AppShell.vue'
import NotCounted from '@/components/shed/NotCounted.vue'
import { nowHere } from '@/composables/nowHere'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'
import { swap } from '@/composables/useWrite'
import { swapUnsent } from '@/offline/entries'
import type { TagPage } from '@/types/server'

/** The chain in one's hand, by the code on its tag: how it is, and the three things that one does with it. */
const props = defineProps<TagPage>()
const here = useHere()
const problem = ref<string | null>(null)
const dipping = ref(false)
const busy = ref(false)
function fit(chain: number | null): void {
  if (!props.bike) return
  problem.value = null
  busy.value = true
  swap(props.bike.id, chain, nowHere(), {
    onError: (errors) => (problem.value = Object.values(errors)[0] ?? null),
    onFinish: () => (busy.value = false),
  })
}
</script>

<template>
  <AppShell :title="chain.name" at="shed">
    <div class="page card">
      <div class="row head">
        <HookTag :label="chain.label" :ready="chain.ready" />
        <h1>{{ chain.name }}</h1>
        <span class="muted">{{ retired ? t('chain.retired') : `${on ? t('chain.on') : t('chain.hangs')} ${bike?.name ?? '—'}` }}</span>
      </div>
      <p v-if="chain.waxed && !chain.unsure" class="left">
        <span class="big">{{ chain.left }}</span> <span class="muted">{{ t('chain.coat') }}</span>
      </p>
      <p class="word" :class="{ ember: chain.late }" data-test="state">
        {{ chain.word }}<span v-if="chain.detail" class="muted">, {{ chain.detail }}</span>
      </p>
      <NotCounted :chain="chain.id" />
      <ChainRun :coat="chain.coat" :left="chain.left" :unsure="chain.unsure" />
      <p class="wear">
        <WearRule :wear="chain.wear" :width="200" /> <span class="muted small">{{ chain.wear.of }}</span>
      </p>
      <p v-if="problem" class="ember" role="alert" data-test="tag-problem">{{ problem }}</p>
      <p v-if="!on && !retired" class="caution">{{ t('swap.caution') }}</p>
      <p>
        <Link :href="`/chains/${chain.id}`">{{ t('tag.chain_page') }}</Link>
      </p>
      <div v-if="here.mayWrite && !retired" class="row at-hand acts">
        <PushButton
          v-if="bike && (!on || swapUnsent(bike.id))"
          :main="chain.ready"
          :disabled="busy"
          data-test="put-on"
          @click="fit(chain.id)"
          >{{ t('tag.put_on', { bike: bike.name }) }}</PushButton
        >
        <PushButton v-if="on || (bike && swapUnsent(bike.id))" :disabled="busy" data-test="took-off" @click="fit(null)">{{
          t('tag.took_off')
        }}</PushButton>
        <PushButton :main="!chain.ready" data-test="dipped" @click="dipping = true">{{ t('tag.dipped') }}</PushButton>
      </div>
    </div>
    <DipDialog v-if="dipping" v-model="dipping" :forms="forms" :chains="[forPot]" :pots="pots" :list="[chain.id]" />
  </AppShell>
</template>

<style scoped>
.card {
  max-width: 560px;
}
.head {
  align-items: center;
}
p {
  margin: 8px 0;
}
.big {
  font-size: var(--type-7);
}
.word {
  font-weight: 680;
  font-size: var(--type-4);
}
.acts .push {
  flex: 1;
}
</style>
