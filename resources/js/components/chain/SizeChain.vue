<script setup lang="ts">
import { computed, reactive } from 'vue'
import NumberField from '@/components/forms/NumberField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import TickBox from '@/components/forms/TickBox.vue'
import LoopDrawing from './LoopDrawing.vue'
import { newActionId } from '@/composables/useActionForm'
import { usePreview } from '@/composables/usePreview'
import { choicesOf, t } from '@/composables/useText'
import type { SizeAnswer } from '@/types/server'

/** How long the new chain has to be: copied from the old one, or from chainstay and teeth. */
const props = defineProps<{ oldPitches: number | null; singleSpeed: boolean }>()
const emit = defineEmits<{ use: [pitches: number, joint: string] }>()
const form = reactive({
  by: props.oldPitches === null ? 'compute' : 'copy',
  old_pitches: props.oldPitches === null ? '' : String(props.oldPitches),
  old_joint: 'quick_link',
  new_joint: 'quick_link',
  chainstay_mm: '',
  front_teeth: '',
  rear_teeth: '',
  derailleur: !props.singleSpeed,
})
const ready = computed(() => (form.by === 'copy' ? form.old_pitches : form.chainstay_mm && form.front_teeth && form.rear_teeth))
const { preview, problems } = usePreview<SizeAnswer>(
  'post',
  () => '/chains/size',
  () => (ready.value ? { ...form, action_id: newActionId() } : null),
)
const ways = choicesOf(['copy', 'compute'], (value) => `size.by_${value}`)
const joints = choicesOf(['quick_link', 'pin'], (value) => `size.${value}`)
</script>

<template>
  <div class="size fields" data-test="size">
    <TapChoice v-model="form.by" :legend="t('size.by')" :options="ways" test="size-by" />
    <template v-if="form.by === 'copy'">
      <NumberField
        v-model="form.old_pitches"
        whole
        :label="t('size.old_pitches')"
        :error-messages="problems.old_pitches"
        name="old_pitches" />
      <TapChoice v-model="form.old_joint" :legend="t('size.old_joint')" :options="joints" test="old-joint" />
    </template>
    <template v-else>
      <NumberField
        v-model="form.chainstay_mm"
        :label="t('size.chainstay')"
        :hint="t('size.chainstay_hint')"
        persistent-hint
        unit="mm"
        :error-messages="problems.chainstay_mm"
        name="chainstay_mm" />
      <div class="two">
        <NumberField v-model="form.front_teeth" whole :label="t('size.front')" :error-messages="problems.front_teeth" name="front_teeth" />
        <NumberField v-model="form.rear_teeth" whole :label="t('size.rear')" :error-messages="problems.rear_teeth" name="rear_teeth" />
      </div>
      <TickBox v-model="form.derailleur" :label="t('size.derailleur')" />
    </template>
    <TapChoice v-model="form.new_joint" :legend="t('size.new_joint')" :options="joints" test="new-joint" />
    <p v-if="problems.page" class="ember" role="alert">{{ problems.page }}</p>
    <div v-if="preview" role="status" class="result" data-test="sized">
      <p v-for="(line, i) in preview.lines" :key="line" :class="{ first: i === 0 }">{{ line }}</p>
      <LoopDrawing v-if="preview.loop" :loop="preview.loop" :cut="preview.cut" :label="preview.lines[0] ?? ''" />
      <PushButton data-test="use-size" @click="emit('use', preview.pitches, form.new_joint)">{{
        t('size.use', { pitches: preview.pitches })
      }}</PushButton>
    </div>
  </div>
</template>

<style scoped>
.size {
  border-left: 3px solid var(--ink);
  padding: 4px 0 4px 16px;
}
.result {
  display: grid;
  gap: 8px;
  justify-items: start;
}
p {
  margin: 0;
}
.first {
  font-weight: 680;
  font-size: var(--type-4);
}
</style>
