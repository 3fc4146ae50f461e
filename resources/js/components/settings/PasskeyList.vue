<script setup lang="ts">
import { router } from '@inertiajs/vue3'
import { ref } from 'vue'
import PushButton from '@/components/layout/PushButton.vue'
import { addPasskey, mayHavePasskeys } from '@/composables/passkeys'
import { confirmed } from '@/composables/useConfirmed'
import { t } from '@/composables/useText'
import type { PasskeysView } from '@/types/server'

/** One's keys: a second way in beside the password. */
defineProps<{ passkeys: PasskeysView }>()
const busy = ref(false)
const problem = ref('')
const add = () =>
  confirmed(async () => {
    busy.value = true
    const outcome = await addPasskey()
    busy.value = false
    problem.value = outcome.ok ? '' : outcome.text
    if (outcome.ok) router.reload({ only: ['people'] })
  })
const remove = (id: number) => router.delete(`/passkeys/${id}`, { preserveScroll: true })
</script>

<template>
  <h2 class="open">{{ t('passkeys.title') }}</h2>
  <ul v-if="passkeys.list.length">
    <li v-for="passkey in passkeys.list" :key="passkey.id" data-test="passkey">
      <span
        ><b>{{ passkey.phone ? t('people_panel.phone') : t('people_panel.computer') }}</b>
        <span class="muted small when">{{ passkey.text }}</span></span
      >
      <PushButton @click="remove(passkey.id)">{{ t('passkeys.remove') }}</PushButton>
    </li>
  </ul>
  <p v-if="!passkeys.fits || !mayHavePasskeys()" class="muted small" data-test="no-passkeys">{{ t('passkeys.needs') }}</p>
  <template v-else>
    <p class="muted small">{{ t('passkeys.text') }}</p>
    <PushButton :loading="busy" data-test="add-passkey" @click="add">{{ t('passkeys.add') }}</PushButton>
  </template>
  <p v-if="problem" class="ember" role="alert">{{ problem }}</p>
</template>

<style scoped>
.open {
  margin-top: 18px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  padding: 8px 0;
}
.when {
  display: block;
}
p {
  margin: 6px 0;
}
</style>
