<script setup lang="ts">
import { router } from '@inertiajs/vue3'
import { computed, nextTick, onMounted, ref, useId } from 'vue'
import ChangesPreview from '@/components/forms/ChangesPreview.vue'
import PushButton from '@/components/layout/PushButton.vue'
import TextField from '@/components/forms/TextField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { usePreview } from '@/composables/usePreview'
import { t } from '@/composables/useText'
import type { CommandAnswer } from '@/types/server'

/** One line of words; the server says what it understood and what that changes, then does it. */
const open = defineModel<boolean>({ required: true })
const id = useId()
const { form, submit } = useActionForm({ text: '' })
const { preview, problems } = usePreview<CommandAnswer>(
  'post',
  () => '/command/preview',
  () => form.data(),
)
const wrong = computed(() => preview.value?.problem ?? Object.values({ ...problems.value, ...form.errors })[0] ?? null)
const field = ref<{ focus: () => void } | null>(null)
onMounted(() => nextTick(() => field.value?.focus()))
function take(guess: string): void {
  form.text = guess
  field.value?.focus()
}
const places = computed(() => preview.value?.places ?? [])
function go(href: string): void {
  open.value = false
  router.visit(href)
}
// What is understood is done; else the first place that was found is opened.
function run(): void {
  const first = places.value[0]
  if (preview.value?.sentence) submit('post', '/command', () => (open.value = false))
  else if (first) go(first.href)
}
</script>

<template>
  <v-dialog v-model="open" max-width="560" :aria-labelledby="id" class="line-dialog">
    <v-card data-test="command-line">
      <form novalidate @submit.prevent="run">
        <h1 :id="id" class="sr">{{ t('command.title') }}</h1>
        <TextField
          ref="field"
          v-model="form.text"
          :label="t('command.label')"
          name="command"
          autocomplete="off"
          autocapitalize="none"
          spellcheck="false" />
        <div class="answer" aria-live="polite">
          <p v-if="preview?.sentence" class="sentence" data-test="understood">{{ preview.sentence }}</p>
          <p v-if="wrong && !places.length" class="ember" data-test="not-understood">{{ wrong }}</p>
          <ul v-if="places.length" class="places" data-test="places">
            <li v-for="place in places" :key="place.href">
              <button type="button" class="as-link" @click="go(place.href)">
                {{ place.title }}
              </button>
              <span class="muted small">{{ place.what }}</span>
            </li>
          </ul>
          <button v-if="preview?.guess" type="button" class="as-link" data-test="guess" @click="take(preview.guess)">
            {{ t('command.guess') }} <b>{{ preview.guess }}</b>
          </button>
          <ChangesPreview v-if="preview?.sentence && preview.chains.length" :chains="preview.chains" />
          <p v-for="caution in preview?.cautions ?? []" :key="caution" class="caution">{{ caution }}</p>
          <ol v-if="preview?.next.length" class="next" data-test="next-told">
            <li v-for="item in preview.next" :key="item.title">
              <b>{{ item.title }}</b> <span class="muted">{{ item.text }}</span>
            </li>
          </ol>
          <div v-if="preview?.examples.length" class="examples" data-test="examples">
            <span class="muted">{{ t('command.examples') }}</span>
            <button v-for="example in preview.examples" :key="example" type="button" class="as-link" @click="take(example)">
              {{ example }}
            </button>
          </div>
        </div>
        <div class="row foot">
          <PushButton type="submit" main :disabled="!preview?.sentence" :loading="form.processing" data-test="do-command">{{
            t('command.do')
          }}</PushButton>
          <PushButton @click="open = false">{{ t('verbs.cancel') }}</PushButton>
        </div>
      </form>
    </v-card>
  </v-dialog>
</template>

<style scoped>
form {
  padding: 18px 20px;
  display: grid;
  gap: 12px;
  max-height: inherit;
  overflow-y: auto;
}
.foot {
  position: sticky;
  bottom: -18px;
  background: var(--paper);
  padding: 10px 0;
}
.answer {
  display: grid;
  gap: 8px;
}
p {
  margin: 0;
}
.places {
  list-style: none;
  margin: 0;
  padding: 0;
}
.places li {
  display: flex;
  gap: 12px;
  align-items: baseline;
  min-height: 32px;
}
.next {
  margin: 0;
  padding-left: 20px;
  display: grid;
  gap: 8px;
}
.sentence {
  font-weight: 680;
  font-size: var(--type-4);
}
/* As many beside one another as there is room for, so that the answer to come has its place. */
.examples {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  column-gap: 16px;
}
.examples > .muted {
  grid-column: 1 / -1;
}
</style>
