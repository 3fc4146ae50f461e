<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import ChangesPreview from '@/components/forms/ChangesPreview.vue'
import AppShell from '@/components/layout/AppShell.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import type { UndoPage } from '@/types/server'

const props = defineProps<UndoPage>()
const { form, submit } = useActionForm({ also: props.also.map((other) => other.id), to_shed: true })
const undo = () => submit('post', `/actions/${props.action.id}/undo`)
</script>

<template>
  <AppShell :title="t('undo.title')" at="history">
    <form class="page narrow" @submit.prevent="undo">
      <h1>{{ t('undo.title') }}</h1>
      <p class="target">
        {{ action.sentence }} <span class="muted">{{ action.when }}, {{ action.who }}</span>
      </p>
      <p v-if="action.undone">{{ t('undo.already') }}</p>
      <p v-else-if="action.stays">{{ t('undo.stays') }}</p>
      <template v-else>
        <p v-if="!also.length" class="muted">{{ t('undo.alone') }}</p>
        <template v-else>
          <p>{{ t('undo.others') }}</p>
          <ol>
            <li v-for="other in also" :key="other.id" data-test="in-the-way">
              {{ other.sentence }} <span class="muted">{{ other.when }}</span>
            </li>
          </ol>
        </template>
        <ChangesPreview v-if="changes.length" :chains="changes" />
        <p v-for="(message, field) in form.errors" :key="field" class="ember" role="alert">{{ message }}</p>
      </template>
      <div class="row at-hand">
        <PushButton v-if="!action.undone && !action.stays" type="submit" main :loading="form.processing" data-test="confirm-undo">{{
          also.length ? t('undo.also') : t('undo.do')
        }}</PushButton>
        <Link href="/history">{{ t('undo.leave') }}</Link>
      </div>
    </form>
  </AppShell>
</template>

<style scoped>
.narrow {
  margin-inline: auto;
  max-width: 680px;
}
.target {
  font-weight: 620;
  font-size: var(--type-4);
}
.target .muted {
  display: block;
  font-weight: 400;
  font-size: var(--type-2);
}
li {
  padding: 4px 0;
}
.row {
  gap: 16px;
  margin-top: 18px;
}
</style>
