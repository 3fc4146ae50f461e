<script setup lang="ts">
import { Link, router } from '@inertiajs/vue3'
import { mdiClose } from '@mdi/js'
import { computed } from 'vue'
import MoreMenu from '@/components/layout/MoreMenu.vue'
import PhoneFold from '@/components/layout/PhoneFold.vue'
import PotDrawing from '@/components/pot/PotDrawing.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { chainDrag } from '@/composables/useChainDrag'
import { t } from '@/composables/useText'
import type { PotChain, PotView } from '@/types/server'

/** The pot and the list of what goes in together. The list is only a plan: nothing is dipped until it is recorded. */
const list = defineModel<number[]>({ required: true })
const props = defineProps<{ chains: PotChain[]; solventOut: boolean; pots: PotView[]; mayWrite: boolean }>()
const emit = defineEmits<{ dip: [] }>()
const listed = computed(() => props.chains.filter((chain) => list.value.includes(chain.id)))
const title = computed(() => `${t('shed.pot')}: ${listed.value.map((chain) => chain.name).join(', ') || t('shed.pot_none')}`)
const others = computed(() =>
  props.chains
    .filter((chain) => !list.value.includes(chain.id))
    .map((chain) => ({ title: `${chain.name}: ${chain.word}`, act: () => add(chain.id) })),
)
const remove = (id: number) => (list.value = list.value.filter((other) => other !== id))
const add = (id: number) => void (list.value = [...list.value, id])
</script>

<template>
  <PhoneFold :title="title" test="pot-folded">
    <section
      class="pot"
      :class="{ target: chainDrag.chain !== null, over: chainDrag.over === 'pot' }"
      data-drop="pot"
      aria-labelledby="pot-title"
      data-test="pot">
      <h2 id="pot-title">{{ t('shed.pot') }}</h2>
      <div class="in">
        <PotDrawing
          :level="pots[0]?.level ?? 0.5"
          :coil="pots[0]?.coil ?? 0"
          :grit="pots[0]?.gritShare ?? 0"
          :empty="pots[0]?.empty ?? true" />
        <ul v-if="listed.length">
          <li v-for="chain in listed" :key="chain.id" :data-test="`pot-${chain.name}`">
            <span
              ><b>{{ chain.name }}</b> <span class="muted small">{{ chain.word }}</span></span
            >
            <PushButton
              v-if="mayWrite"
              :icon="mdiClose"
              bare
              compact
              :aria-label="`${chain.name}: ${t('verbs.delete')}`"
              @click="remove(chain.id)" />
          </li>
        </ul>
        <p v-else-if="pots.length" class="muted small">{{ t('shed.pot_empty') }}</p>
        <p v-else class="muted small">
          {{ t('shed.no_pot') }} <Link v-if="mayWrite" href="/pot">{{ t('pot_form.add') }}</Link>
        </p>
      </div>
      <p v-for="one in pots" :key="one.id" class="small level" :data-test="`level-${one.name}`">
        <b>{{ one.name }}</b> {{ one.holds }}<template v-if="one.left">, {{ one.left }}</template>
      </p>
      <p v-if="solventOut" class="caution" data-test="solvent-out">{{ t('shed.solvent_out') }}</p>
      <div v-if="mayWrite" class="row">
        <PushButton
          v-if="listed.length && pots.length"
          main
          data-test="plan-pot-day"
          @click="router.visit(`/pot-day?${list.map((id) => `chains[]=${id}`).join('&')}`)"
          >{{ t('shed.plan_pot_day') }}</PushButton
        >
        <PushButton v-if="listed.length" :main="!pots.length" data-test="dip-these" @click="emit('dip')">{{
          t('shed.dip_these')
        }}</PushButton>
        <MoreMenu v-if="others.length" v-slot="{ button }" :items="others">
          <PushButton v-bind="button" data-test="pot-add">{{ t('shed.pot_add') }}</PushButton>
        </MoreMenu>
      </div>
    </section>
  </PhoneFold>
</template>

<style scoped>
.pot {
  margin-top: 16px;
  padding-top: 14px;
  border-top: 1.5px solid var(--ink);
}
.pot.target {
  outline: 1.5px dashed var(--steel-2);
  outline-offset: 6px;
}
.pot.over {
  outline: 2.5px solid var(--ready);
  outline-offset: 6px;
}
.in {
  display: grid;
  grid-template-columns: 100px 1fr;
  gap: 12px;
  align-items: start;
  margin: 6px 0 10px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 6px;
  align-items: center;
  border-bottom: 1px solid var(--line);
  padding: 2px 0;
}
p {
  margin: 8px 0 0;
}
p.level {
  margin: 0 0 10px;
}
p.caution {
  margin: 0 0 10px;
}
@media (max-width: 52.49em) {
  .pot {
    margin: 0;
    padding: 8px 0;
    border: 0;
  }
}
</style>
