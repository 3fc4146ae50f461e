<script setup lang="ts">
import { ref } from 'vue'
import PushButton from '@/components/layout/PushButton.vue'
import TextField from '@/components/forms/TextField.vue'
import { http } from '@/composables/http'
import { t } from '@/composables/useText'
import { unconfirmed } from '@/composables/useConfirmed'

/** Asks for the password once more before what waits for it is done. */
const password = ref('')
const problem = ref('')
const busy = ref(false)
async function confirm(): Promise<void> {
  busy.value = true
  const answer = await http('post', '/password', { password: password.value })
  busy.value = false
  if (answer?.ok) {
    const act = unconfirmed.value
    unconfirmed.value = null
    act?.()
  } else problem.value = answer === null ? t('kept.not_saved') : (answer.errors.password ?? Object.values(answer.errors)[0] ?? '')
}
</script>

<template>
  <v-dialog :model-value="unconfirmed !== null" max-width="420" @update:model-value="unconfirmed = null">
    <v-card>
      <form class="fields sheet" data-test="confirm" @submit.prevent="confirm">
        <h2>{{ t('people_panel.confirm') }}</h2>
        <p class="muted small">{{ t('people_panel.confirm_text') }}</p>
        <TextField
          v-model="password"
          type="password"
          autocomplete="current-password"
          autofocus
          :label="t('people.password')"
          :error-messages="problem"
          name="confirm-password" />
        <div class="row">
          <PushButton type="submit" main :loading="busy" data-test="confirm-do">{{ t('people_panel.confirm_do') }}</PushButton>
          <PushButton @click="unconfirmed = null">{{ t('verbs.cancel') }}</PushButton>
        </div>
      </form>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.sheet {
  padding: 18px;
}
p {
  margin: 0;
}
</style>
