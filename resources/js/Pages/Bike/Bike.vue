<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { computed } from 'vue'
import AppShell from '@/components/layout/AppShell.vue'
import { useActionForm } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'

const props = defineProps<{
  bike: number | null
  values: {
    name: string
    kind: string
    speeds: number
    interval: string
    interval_hours: number | null
    limit_school: string
  }
  kinds: { value: string; title: string }[]
  schools: { value: string; title: string; reason: string }[]
}>()
const here = useHere()
const { form, submit } = useActionForm({
  ...props.values,
  speeds: props.values.speeds as number | string,
  interval_hours: props.values.interval_hours as number | string | null,
  also_past: false,
})
const reason = computed(() => props.schools.find((school) => school.value === form.limit_school)?.reason)
const save = () => submit(props.bike === null ? 'post' : 'put', props.bike === null ? '/bikes' : `/bikes/${props.bike}`)
</script>

<template>
  <AppShell :title="bike === null ? t('bike.new') : values.name" at="shed">
    <form class="page narrow fields" novalidate @submit.prevent="save">
      <h1>{{ bike === null ? t('bike.new') : `${t('bike.edit')}: ${values.name}` }}</h1>
      <v-text-field v-model="form.name" :label="t('bike.name')" :error-messages="form.errors.name" name="name" :autofocus="bike === null" />
      <div class="two">
        <v-select v-model="form.kind" :items="kinds" :label="t('bike.kind')" :error-messages="form.errors.kind" />
        <v-text-field
          v-model="form.speeds"
          inputmode="numeric"
          :label="t('bike.speeds')"
          :hint="t('bike.speeds_hint')"
          persistent-hint
          :error-messages="form.errors.speeds"
          name="speeds" />
      </div>
      <div class="two">
        <v-text-field
          v-model="form.interval"
          inputmode="decimal"
          :label="t('bike.interval')"
          :suffix="here.distanceUnit"
          :hint="t('bike.interval_hint')"
          persistent-hint
          :error-messages="form.errors.interval"
          name="interval" />
        <v-text-field
          v-model="form.interval_hours"
          inputmode="decimal"
          :label="t('bike.hours')"
          suffix="h"
          :hint="t('bike.hours_hint')"
          persistent-hint
          :error-messages="form.errors.interval_hours"
          name="interval_hours" />
      </div>
      <v-select
        v-model="form.limit_school"
        :items="schools"
        :label="t('bike.school')"
        :hint="reason"
        persistent-hint
        :error-messages="form.errors.limit_school" />
      <v-checkbox v-if="bike !== null" v-model="form.also_past" :label="t('bike.past')" :hint="t('bike.past_hint')" persistent-hint />
      <p v-if="form.errors.action_id" class="ember" role="alert">{{ form.errors.action_id }}</p>
      <div class="row">
        <v-btn type="submit" variant="flat" color="primary" :loading="form.processing" data-test="submit">{{
          bike === null ? t('bike.new') : t('verbs.save')
        }}</v-btn>
        <Link href="/">{{ t('verbs.cancel') }}</Link>
        <Link v-if="bike !== null" :href="`/history?bike=${bike}`">{{ t('nav.history') }}</Link>
      </div>
    </form>
  </AppShell>
</template>

<style scoped>
.narrow {
  margin-inline: auto;
  max-width: 620px;
  width: 100%;
}
.row {
  gap: 16px;
}
</style>
