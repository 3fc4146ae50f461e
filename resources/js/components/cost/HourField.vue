<script setup lang="ts">
import { watch } from 'vue'
import NumberField from '@/components/forms/NumberField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'

/** What an hour of one's time is worth: one setting, wherever it is asked for. */
const props = defineProps<{ hour: string }>()
const here = useHere()
const { form, submit } = useActionForm({ hour: props.hour })
watch(
  () => props.hour,
  (hour) => (form.hour = hour),
)
function save() {
  if (form.hour !== props.hour) submit('put', '/books/hour')
}
</script>

<template>
  <form class="row" @submit.prevent="save">
    <label
      >{{ t('what_if.hour') }}
      <NumberField
        v-model="form.hour"
        slim
        size="5"
        name="hour"
        :error-messages="form.errors.hour"
        :disabled="!here.mayWrite"
        @change="save" />
      {{ here.currency }}</label
    >
    <span v-if="form.errors.hour" class="ember" role="alert">{{ form.errors.hour }}</span>
  </form>
</template>
