<script setup lang="ts">
import { useForm } from '@inertiajs/vue3'
import PushButton from '@/components/layout/PushButton.vue'
import ZoneField from '@/components/forms/ZoneField.vue'
import AccountFields from '@/components/forms/AccountFields.vue'
import DoorFrame from '@/components/layout/DoorFrame.vue'
import TextField from '@/components/forms/TextField.vue'
import { t } from '@/composables/useText'

const props = defineProps<{ zones: string[]; asksCode: boolean }>()
const own = Intl.DateTimeFormat().resolvedOptions().timeZone
const form = useForm({
  name: '',
  email: '',
  password: '',
  workshop: '',
  code: '',
  time_zone: props.zones.includes(own) ? own : 'UTC',
})
</script>

<template>
  <DoorFrame :title="t('people.register')">
    <p class="muted">{{ t('people.register_text') }}</p>
    <form class="fields" novalidate @submit.prevent="form.post('/register')">
      <AccountFields v-model:name="form.name" v-model:email="form.email" v-model:password="form.password" :errors="form.errors" />
      <TextField v-model="form.workshop" :label="t('people.workshop')" :error-messages="form.errors.workshop" name="workshop" />
      <ZoneField v-model="form.time_zone" :zones="zones" :error-messages="form.errors.time_zone" />
      <TextField
        v-if="asksCode"
        v-model="form.code"
        autocomplete="off"
        :label="t('people.first_code')"
        :hint="t('people.first_code_hint')"
        persistent-hint
        :error-messages="form.errors.code"
        name="code" />
      <PushButton type="submit" main :loading="form.processing" data-test="submit">{{ t('people.register') }}</PushButton>
    </form>
  </DoorFrame>
</template>

<style scoped>
p {
  margin: 0;
}
</style>
