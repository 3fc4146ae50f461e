<script setup lang="ts">
import { computed, ref } from 'vue'
import DateField from '@/components/forms/DateField.vue'
import ActionDialog from '@/components/forms/ActionDialog.vue'
import NumberField from '@/components/forms/NumberField.vue'
import PushButton from '@/components/layout/PushButton.vue'
import TextField from '@/components/forms/TextField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { BottleView } from '@/types/server'

/** The bottles of drip wax, each as full as it is, and when it runs out. */
const props = defineProps<{ bottles: BottleView[]; currency: string; today: string; mayWrite: boolean }>()
const chosen = ref<BottleView | null>(null)
const open = ref(false)
const { form, submit } = useActionForm({ name: '', volume: '', left: '', opened: '', price: '', gone: false })
function tend(bottle: BottleView | null): void {
  chosen.value = bottle
  Object.assign(form, bottle ? { ...bottle.values, name: bottle.name } : { name: '', volume: '', opened: props.today, price: '' }, {
    left: '',
    gone: false,
  })
  form.clearErrors()
  open.value = true
}
function save(gone: boolean): void {
  form.gone = gone
  submit(chosen.value ? 'put' : 'post', chosen.value ? `/bottles/${chosen.value.id}` : '/bottles', () => (open.value = false))
}
const BOTTOM = 58
const level = (bottle: BottleView) => BOTTOM - bottle.share * 38
const title = computed(() => (chosen.value ? `${t('bottles.edit')}: ${chosen.value.name}` : t('bottles.add')))
const remove = (bottle: BottleView) => {
  open.value = false
  write('delete', `/bottles/${bottle.id}`)
}
</script>

<template>
  <section aria-labelledby="bottles">
    <div class="row between">
      <h2 id="bottles">{{ t('bottles.title') }}</h2>
      <PushButton v-if="mayWrite" data-test="add-bottle" @click="tend(null)">{{ t('bottles.add') }}</PushButton>
    </div>
    <p class="muted small">{{ bottles.length ? t('bottles.text') : t('bottles.none') }}</p>
    <ul>
      <li v-for="bottle in bottles" :key="bottle.id" :data-test="`bottle-${bottle.name}`">
        <svg viewBox="0 0 30 62" width="30" height="62" aria-hidden="true">
          <path d="M6 20 12 8V2h6v6l6 12v36a4 4 0 0 1-4 4H10a4 4 0 0 1-4-4Z" fill="var(--paper)" stroke="var(--ink)" stroke-width="1.6" />
          <rect x="7.5" :y="level(bottle)" width="15" :height="BOTTOM - level(bottle)" fill="var(--amber)" />
        </svg>
        <div>
          <b>{{ bottle.name }}</b>
          <p>{{ bottle.left }}</p>
          <p class="muted small">{{ bottle.about }}</p>
        </div>
        <span class="end"
          >{{ bottle.price
          }}<PushButton v-if="mayWrite" :aria-label="`${t('bottles.edit')}: ${bottle.name}`" @click="tend(bottle)">{{
            t('bottles.edit')
          }}</PushButton></span
        >
      </li>
    </ul>
    <ActionDialog
      v-if="open"
      v-model="open"
      :title="title"
      :verb="t(chosen ? 'bottles.save' : 'bottles.add')"
      :busy="form.processing"
      :errors="form.errors"
      :known="['name', 'volume', 'left', 'opened', 'price']"
      test="bottle-form"
      @submit="save(false)">
      <TextField v-model="form.name" :label="t('books.name')" :error-messages="form.errors.name" name="name" />
      <div class="two">
        <NumberField v-model="form.volume" :label="t('bottles.volume')" unit="ml" :error-messages="form.errors.volume" name="volume" />
        <NumberField
          v-model="form.left"
          :label="t('bottles.left')"
          unit="ml"
          :hint="t('bottles.left_hint')"
          persistent-hint
          :error-messages="form.errors.left"
          name="left" />
      </div>
      <div class="two">
        <DateField v-model="form.opened" :label="t('bottles.opened')" :error-messages="form.errors.opened" name="opened" />
        <NumberField v-model="form.price" :label="t('books.amount')" :unit="currency" :error-messages="form.errors.price" name="price" />
      </div>
      <div v-if="chosen" class="row">
        <PushButton v-if="chosen.unused" data-test="bottle-remove" @click="remove(chosen)">{{ t('bottles.remove') }}</PushButton>
        <PushButton v-else data-test="bottle-gone" @click="save(true)">{{ t('bottles.gone') }}</PushButton>
      </div>
    </ActionDialog>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  display: grid;
  grid-template-columns: 30px minmax(0, 1fr) auto;
  gap: 14px;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
  align-items: center;
}
p {
  margin: 2px 0;
}
.end {
  display: grid;
  justify-items: end;
  gap: 4px;
}
</style>
