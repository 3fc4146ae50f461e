<script setup lang="ts">
import { ref } from 'vue'
import ActionDialog from '@/components/forms/ActionDialog.vue'
import NumberField from '@/components/forms/NumberField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import TextField from '@/components/forms/TextField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import type { StockPage } from '@/types/server'

/** The quick links that lie in the drawer. */
defineProps<Pick<StockPage, 'links'> & { currency: string; mayWrite: boolean }>()
const open = ref(false)
const { form: link, submit: sendLink } = useActionForm({
  name: t('parts.quick_link'),
  count: '1',
  speeds: '',
  closings_allowed: '',
  price: '',
})
</script>

<template>
  <section aria-labelledby="links">
    <div class="row between">
      <h2 id="links">{{ t('books.links') }}</h2>
      <PushButton v-if="mayWrite" data-test="add-link" @click="open = true">{{ t('books.add_link') }}</PushButton>
    </div>
    <p class="muted small">{{ links.length ? t('books.links_text') : t('books.no_links') }}</p>
    <ul v-if="links.length">
      <li v-for="spare in links" :key="spare.id" data-test="spare">
        <b>{{ spare.name }}</b><span class="muted">{{ spare.about }}</span
        ><span>{{ spare.price }}</span>
      </li>
    </ul>
    <ActionDialog
      v-if="mayWrite && open"
      v-model="open"
      :title="t('books.add_link')"
      :verb="t('books.add_link')"
      :busy="link.processing"
      :errors="link.errors"
      :known="['name', 'count', 'speeds', 'closings_allowed', 'price']"
      test="link-form"
      @submit="sendLink('post', '/links', () => (open = false))">
      <div class="two">
        <TextField v-model="link.name" :label="t('books.name')" :error-messages="link.errors.name" name="name" />
        <NumberField v-model="link.count" whole :label="t('books.count')" :error-messages="link.errors.count" name="count" />
      </div>
      <div class="two">
        <NumberField v-model="link.speeds" whole :label="t('books.speeds')" :error-messages="link.errors.speeds" name="speeds" />
        <NumberField
          v-model="link.closings_allowed"
          whole
          :label="t('books.closings')"
          :hint="t('books.closings_hint')"
          persistent-hint
          :error-messages="link.errors.closings_allowed"
          name="closings_allowed" />
      </div>
      <NumberField v-model="link.price" :label="t('books.price')" :unit="currency" :error-messages="link.errors.price" name="price" />
    </ActionDialog>
  </section>
</template>

<style scoped>
p {
  margin: 4px 0 10px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 80px;
  gap: 12px;
  padding: 7px 0;
  border-bottom: 1px solid var(--line);
}
li span:last-child {
  text-align: right;
}
@media (max-width: 52.49em) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  li .muted {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
</style>
