<script setup lang="ts">
import { router, useForm } from '@inertiajs/vue3'
import PushButton from '@/components/layout/PushButton.vue'
import TextField from '@/components/forms/TextField.vue'
import { confirmed } from '@/composables/useConfirmed'
import { t } from '@/composables/useText'
import type { PeopleView } from '@/types/server'

/** The workshops somebody is in, and the form that opens a further one. */
defineProps<Pick<PeopleView, 'workshops' | 'opensWorkshops'>>()
const form = useForm({ workshop: '' })
</script>

<template>
  <section v-if="workshops.length > 1 || opensWorkshops" aria-labelledby="workshops">
    <h2 id="workshops">{{ t('workshops.title') }}</h2>
    <ul>
      <li v-for="workshop in workshops" :key="workshop.id" class="row" data-test="workshop">
        <span class="name"
          ><b>{{ workshop.name }}</b
          >, {{ workshop.role }}<template v-if="workshop.here">, {{ t('workshops.here') }}</template></span
        >
        <PushButton
          v-if="!workshop.here"
          :aria-label="`${t('workshops.enter')}: ${workshop.name}`"
          :data-test="`enter-${workshop.name}`"
          @click="router.post(`/workshops/${workshop.id}/enter`)"
          >{{ t('workshops.enter') }}</PushButton
        >
      </li>
    </ul>
    <form v-if="opensWorkshops" class="row" @submit.prevent="confirmed(() => form.post('/workshops'))">
      <TextField
        v-model="form.workshop"
        :label="t('workshops.name')"
        :error-messages="form.errors.workshop"
        :hint="t('workshops.text')"
        persistent-hint
        name="workshop" />
      <PushButton type="submit" :loading="form.processing" data-test="open-workshop">{{ t('workshops.open') }}</PushButton>
    </form>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 6px 0 12px;
}
li {
  padding: 7px 0;
  border-bottom: 1px solid var(--line);
}
.name {
  flex: 1;
}
form {
  align-items: flex-start;
}
</style>
