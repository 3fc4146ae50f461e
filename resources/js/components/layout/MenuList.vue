<script setup lang="ts">
import type { MenuItem } from './menuItem'

/** The list that a button of MoreMenu opens. */
defineProps<{ items: MenuItem[]; button: HTMLElement | null }>()
const open = defineModel<boolean>({ required: true })
</script>

<template>
  <v-menu v-if="button" v-model="open" :activator="button" :open-on-click="false" attach>
    <v-list density="comfortable" class="menu">
      <v-list-item
        v-for="item in items"
        :key="item.title"
        :title="item.title"
        :prepend-icon="item.icon"
        :active="item.active"
        :data-test="item.test"
        @click="item.act"
        ><template v-if="item.key" #append
          ><kbd>{{ item.key }}</kbd></template
        ></v-list-item
      >
    </v-list>
  </v-menu>
</template>

<style scoped>
.menu {
  border: 1.5px solid var(--ink);
  border-radius: 3px;
  max-height: 420px;
}
</style>
