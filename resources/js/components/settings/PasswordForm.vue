<script setup lang="ts">
import { useForm } from '@inertiajs/vue3'
import { ref } from 'vue'
import PushButton from '@/components/layout/PushButton.vue'
import TextField from '@/components/forms/TextField.vue'
import { t } from '@/composables/useText'

/** One's own password is changed; the other devices are signed out by it. */
const open = ref(false)
const form = useForm({ old_password: '', password: '' })
const save = () =>
  form.put('/password', {
    preserveScroll: true,
    onSuccess: () => {
      form.reset()
      open.value = false
    },
  })
</script>

<template>
  <h2 class="open">{{ t('people_panel.own_password') }}</h2>
  <PushButton v-if="!open" data-test="change-password" @click="open = true">{{ t('people_panel.change_password') }}</PushButton>
  <form v-else class="fields" @submit.prevent="save">
    <TextField
      v-model="form.old_password"
      type="password"
      autocomplete="current-password"
      :label="t('people_panel.old_password')"
      :error-messages="form.errors.old_password"
      name="old_password" />
    <TextField
      v-model="form.password"
      type="password"
      autocomplete="new-password"
      :label="t('people_panel.new_password')"
      :hint="`${t('people.password_hint')}. ${t('people_panel.signs_out')}`"
      persistent-hint
      :error-messages="form.errors.password"
      name="password" />
    <div class="row">
      <PushButton type="submit" :loading="form.processing" data-test="save-password">{{ t('people_panel.save_password') }}</PushButton>
      <PushButton @click="open = false">{{ t('verbs.cancel') }}</PushButton>
    </div>
  </form>
</template>

<style scoped>
.open {
  margin-top: 18px;
}
form {
  margin-top: 12px;
}
.row {
  margin-top: 4px;
}
</style>
