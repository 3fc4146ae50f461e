<script setup lang="ts">
import { router, useForm } from '@inertiajs/vue3'
import DoorFrame from '@/components/layout/DoorFrame.vue'
import PushButton from '@/components/layout/PushButton.vue'
import TextField from '@/components/forms/TextField.vue'
import { onMounted, ref } from 'vue'
import { mayHavePasskeys, signInByPasskey } from '@/composables/passkeys'
import { t } from '@/composables/useText'
import { leaveNothing } from '@/offline/wipe'

defineProps<{ demo: boolean; passkeys: boolean }>()
const form = useForm({ email: '', password: '' })
const unsent = ref(0)
const asking = ref(false)
const problem = ref('')
async function byPasskey(): Promise<void> {
  asking.value = true
  const outcome = await signInByPasskey()
  asking.value = false
  problem.value = outcome.ok ? '' : outcome.text
  if (outcome.ok) router.visit('/')
}
onMounted(async () => (unsent.value = await leaveNothing()))
</script>

<template>
  <DoorFrame :title="t('people.sign_in')">
    <div v-if="demo" class="demo">
      <PushButton main class="wide" data-test="demo" @click="router.post('/demo')">{{ t('people.demo') }}</PushButton>
      <p class="muted small">{{ t('people.demo_text') }}</p>
    </div>
    <p v-if="unsent" class="caution" role="status" data-test="unsent">
      {{ unsent === 1 ? t('kept.sign_in_one') : t('kept.sign_in_text', { count: unsent }) }}
    </p>
    <form class="fields" novalidate @submit.prevent="form.post('/sign-in', { onFinish: () => form.reset('password') })">
      <TextField
        v-model="form.email"
        type="email"
        autocomplete="username"
        :label="t('people.email')"
        :error-messages="form.errors.email"
        name="email" />
      <TextField
        v-model="form.password"
        type="password"
        autocomplete="current-password"
        :label="t('people.password')"
        :error-messages="form.errors.password"
        name="password" />
      <PushButton type="submit" :loading="form.processing" data-test="submit">{{ t('people.sign_in') }}</PushButton>
      <PushButton v-if="passkeys && mayHavePasskeys()" :loading="asking" data-test="by-passkey" @click="byPasskey">{{
        t('passkeys.sign_in')
      }}</PushButton>
      <p v-if="problem" class="ember" role="alert">{{ problem }}</p>
      <p class="muted small">{{ t('people.forgot') }}</p>
    </form>
  </DoorFrame>
</template>

<style scoped>
p {
  margin: 6px 0 0;
}
.wide {
  width: 100%;
}
.demo {
  padding-bottom: 14px;
  border-bottom: 1px solid var(--line);
}
</style>
