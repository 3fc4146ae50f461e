<script setup lang="ts">
import { useForm } from '@inertiajs/vue3'
import AccountFields from '@/components/forms/AccountFields.vue'
import DoorFrame from '@/components/layout/DoorFrame.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'
import type { Role } from '@/types/server'

defineProps<{ token: string; open: boolean; role: string; person: string }>()
const form = useForm({ name: '', email: '', password: '' })
const problem = () => (form.errors as Record<string, string>).token
</script>

<template>
  <DoorFrame :title="t('people.join')">
    <p v-if="!open" class="ember" role="alert">{{ t('people.used') }}</p>
    <form v-else class="fields" novalidate @submit.prevent="form.post(`/join/${token}`)">
      <p class="muted">{{ t('people.join_text') }} {{ t(`roles.${role as Role}`) }}.</p>
      <p v-if="person" class="muted">{{ t('people.join_other') }}</p>
      <AccountFields v-else v-model:name="form.name" v-model:email="form.email" v-model:password="form.password" :errors="form.errors" />
      <p v-if="problem()" class="ember" role="alert">{{ problem() }}</p>
      <PushButton type="submit" main :loading="form.processing" data-test="submit">{{
        person ? t('people.join_as', { person }) : t('people.join')
      }}</PushButton>
    </form>
  </DoorFrame>
</template>

<style scoped>
p {
  margin: 0;
}
</style>
