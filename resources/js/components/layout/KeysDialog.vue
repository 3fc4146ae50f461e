<script setup lang="ts">
import { useKeysEnabled } from '@/composables/useKeys'
import { t } from '@/composables/useText'

const open = defineModel<boolean>({ required: true })
const enabled = useKeysEnabled()
const keys: [string, string][] = [
  ['?', 'this'],
  ['/', 'command'],
  ['1–9', 'bike'],
  ['s', 'swap'],
  ['r', 'ride'],
  ['t', 'topup'],
  ['m', 'measure'],
  ['n', 'loud'],
  ['d', 'dip'],
  ['c', 'catch_up'],
  ['x', 'correct'],
  ['u', 'undo'],
  ['S', 'shed'],
  ['G', 'gauge'],
  ['R', 'road'],
  ['A', 'ahead'],
  ['B', 'books'],
  ['H', 'history'],
]
</script>

<template>
  <v-dialog v-model="open" max-width="380" aria-labelledby="keys-title">
    <v-card class="pa-5">
      <h1 id="keys-title">{{ t('keys.title') }}</h1>
      <p v-if="!enabled" class="muted mt-2">{{ t('keys.off') }}</p>
      <dl>
        <template v-for="[key, name] in keys" :key="key"
          ><dt>
            <kbd>{{ key }}</kbd>
          </dt>
          <dd>{{ t(`keys.${name}`) }}</dd></template
        >
      </dl>
      <div class="row">
        <v-btn autofocus @click="open = false">{{ t('verbs.close') }}</v-btn>
      </div>
    </v-card>
  </v-dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 52px 1fr;
  row-gap: 6px;
  margin: 14px 0 18px;
}
dd {
  margin: 0;
}
</style>
