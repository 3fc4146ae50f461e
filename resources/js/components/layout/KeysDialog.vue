<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import KeyList from './KeyList.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { useKeysEnabled } from '@/composables/useKeys'
import { t } from '@/composables/useText'

const open = defineModel<boolean>({ required: true })
const enabled = useKeysEnabled()
</script>

<template>
  <v-dialog v-model="open" max-width="380" aria-labelledby="keys-title">
    <v-card class="sheet">
      <h1 id="keys-title">{{ t('keys.title') }}</h1>
      <p v-if="!enabled" class="muted">{{ t('keys.off') }}</p>
      <KeyList />
      <div class="row">
        <PushButton autofocus @click="open = false">{{ t('verbs.close') }}</PushButton>
        <Link href="/help" data-test="all-help" @click="open = false">{{ t('help.all') }}</Link>
      </div>
    </v-card>
  </v-dialog>
</template>
