<script setup lang="ts">
import { computed, onUnmounted, ref, useId } from 'vue'
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'

/** The frame of every small form, mounted anew each time it opens: title, fields, what went wrong beside no field, the verb. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{
  title: string
  verb: string
  busy: boolean
  errors: Record<string, string | undefined>
  known?: string[]
  caution?: string
  /** Drawings beside what they mean want room. */
  wide?: boolean
  test?: string
}>()
const emit = defineEmits<{ submit: [] }>()
const id = useId()
// Whoever opened it goes on where they were.
const opener = document.activeElement
onUnmounted(() => opener instanceof HTMLElement && opener.focus())
// With a keyboard at hand one goes on typing: in the field that asks for it, else in what is chosen, else in the first.
const card = ref<HTMLElement | null>(null)
function focusFirst(): void {
  if (!window.matchMedia('(hover: hover) and (pointer: fine)').matches || !card.value) return
  const first = ['[autofocus]', 'input[type=radio]:checked', 'input:not([type=hidden]):not([type=checkbox])']
    .map((css) => card.value?.querySelector<HTMLElement>(css))
    .find((field) => field)
  first?.focus()
}
const beside = computed(() => Object.entries(props.errors).filter(([field]) => !(props.known ?? []).includes(field)))
</script>

<template>
  <v-dialog v-model="open" :aria-labelledby="id" :max-width="wide ? 1020 : undefined" @after-enter="focusFirst">
    <v-card :data-test="test">
      <form ref="card" novalidate @submit.prevent="emit('submit')">
        <div class="body">
          <h1 :id="id">{{ title }}</h1>
          <div class="fields"><slot /></div>
          <p v-for="[field, message] in beside" :key="field" class="ember problem" role="alert">
            {{ message }}
          </p>
          <p v-if="caution" class="caution">{{ caution }}</p>
        </div>
        <div class="row foot">
          <PushButton type="submit" main :loading="busy" data-test="submit">{{ verb }}</PushButton>
          <PushButton @click="open = false">{{ t('verbs.cancel') }}</PushButton>
        </div>
      </form>
    </v-card>
  </v-dialog>
</template>

<style scoped>
form {
  display: flex;
  flex-direction: column;
  max-height: inherit;
  overflow: hidden;
}
.body {
  padding: 20px 22px 4px;
  overflow-y: auto;
}
h1 {
  font-size: var(--type-5);
  margin-bottom: 16px;
}
.problem {
  margin: 12px 0 0;
  font-weight: 560;
}
.caution {
  margin: 14px 0 0;
}
.foot {
  padding: 16px 22px 20px;
}
</style>
