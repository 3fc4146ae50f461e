<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { onMounted, ref } from 'vue'
import LifeStory from '@/components/chain/LifeStory.vue'
import ActionDialog from './ActionDialog.vue'
import DayAndTime from './DayAndTime.vue'
import TapChoice from './TapChoice.vue'
import StepDrawing from '@/components/guided/StepDrawing.vue'
import { http } from '@/composables/http'
import { useActionForm } from '@/composables/useActionForm'
import { teethSeen } from '@/composables/teethSeen'
import { t } from '@/composables/useText'
import type { FormDefaults, Retiring } from '@/types/server'

/** A chain goes out of use: what it did in its life, and what its bike is left with. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ forms: FormDefaults; chain: { id: number; name: string } }>()
const story = ref<Retiring | null>(null)
onMounted(async () => {
  // Without its story it can be retired all the same.
  const answer = await http<Retiring>('get', `/chains/${props.chain.id}/retirement`)
  if (answer?.ok) story.value = answer.body
})
const { form, submit } = useActionForm({ teeth: '', date: props.forms.date, time: props.forms.time })
const save = () => submit('post', `/chains/${props.chain.id}/retirement`, () => (open.value = false))
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="`${t('moment.retire.title')}: ${chain.name}`"
    :verb="t('moment.retire.do')"
    :busy="form.processing"
    :errors="form.errors"
    :known="['teeth', 'date', 'time']"
    :caution="t('moment.retire.caution')"
    test="retire-form"
    @submit="save">
    <p class="text">{{ t('moment.retire.text') }}</p>
    <LifeStory v-if="story" :story="story.life" />
    <p v-if="story?.on" class="text">{{ story.on }}</p>
    <p v-if="story?.left" class="text" :class="{ heavy: story.few }" data-test="chains-left">
      {{ story.left }}
      <Link v-if="story.few && story.bike" :href="`/chains/new?bike=${story.bike}`">{{ t('shed.add_chain') }}</Link>
    </p>
    <StepDrawing what="teeth" />
    <TapChoice v-model="form.teeth" :legend="t('teeth.legend')" :options="teethSeen()" test="teeth" />
    <DayAndTime v-model:date="form.date" v-model:time="form.time" :errors="form.errors" />
  </ActionDialog>
</template>

<style scoped>
.text {
  margin: 0;
}
.heavy {
  font-weight: 620;
}
</style>
