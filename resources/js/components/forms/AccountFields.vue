<script setup lang="ts">
import TextField from '@/components/forms/TextField.vue'
import { t } from '@/composables/useText'

/** Name, e-mail and password of a new account. */
const name = defineModel<string>('name', { required: true })
const email = defineModel<string>('email', { required: true })
const password = defineModel<string>('password', { required: true })
defineProps<{ errors: { name?: string; email?: string; password?: string } }>()
</script>

<template>
  <TextField v-model="name" autocomplete="name" :label="t('people.name')" :error-messages="errors.name" name="name" autofocus />
  <TextField v-model="email" type="email" autocomplete="username" :label="t('people.email')" :error-messages="errors.email" name="email" />
  <TextField
    v-model="password"
    type="password"
    autocomplete="new-password"
    :label="t('people.password')"
    :hint="t('people.password_hint')"
    persistent-hint
    :error-messages="errors.password"
    name="password" />
</template>
