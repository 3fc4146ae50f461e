<script setup lang="ts">
import { router, useForm, usePage } from '@inertiajs/vue3'
import AppShell from '@/components/layout/AppShell.vue'
import { useActionForm } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { useKeysEnabled } from '@/composables/useKeys'
import { t } from '@/composables/useText'

const props = defineProps<{
  values: {
    name: string
    time_zone: string
    distance_unit: string
    temperature_unit: string
    mass_unit: string
    currency: string
    factors: Record<string, string>
  }
  factors: { value: string; name: string; house: boolean }[]
  choices: {
    zones: string[]
    distance: string[]
    temperature: { value: string; title: string }[]
    mass: string[]
    currencies: string[]
  }
  people: { name: string; email: string; role: string }[]
  invitations: { id: number; role: string; until: string }[]
}>()
const here = useHere()
const page = usePage()
const keys = useKeysEnabled()
const { form, submit } = useActionForm({ ...props.values, factors: { ...props.values.factors }, also_past: false })
const invite = useForm({ role: 'member' })
const roles = ['member', 'viewer'].map((value) => ({ value, title: t(`roles.${value}`) }))
const save = () => submit('put', '/settings')
const errorOf = (factor: string) => (form.errors as Record<string, string>)[`factors.${factor}`]
</script>

<template>
  <AppShell :title="t('settings.title')" at="settings">
    <div class="page two-columns">
      <form class="fields" novalidate @submit.prevent="save">
        <h1>{{ t('settings.title') }}</h1>
        <fieldset :disabled="!here.mayWrite" class="fields">
          <legend class="sr">{{ t('settings.workshop') }}</legend>
          <v-text-field v-model="form.name" :label="t('settings.name')" :error-messages="form.errors.name" name="name" />
          <v-autocomplete
            v-model="form.time_zone"
            :items="choices.zones"
            :label="t('settings.zone')"
            :error-messages="form.errors.time_zone" />
          <div class="four">
            <v-select v-model="form.distance_unit" :items="choices.distance" :label="t('settings.distance')" data-test="distance-unit" />
            <v-select v-model="form.temperature_unit" :items="choices.temperature" :label="t('settings.temperature')" />
            <v-select v-model="form.mass_unit" :items="choices.mass" :label="t('settings.mass')" />
            <v-select v-model="form.currency" :items="choices.currencies" :label="t('settings.currency')" />
          </div>
          <h2>{{ t('settings.factors') }}</h2>
          <p class="muted small">{{ t('settings.factors_hint') }}</p>
          <div class="factors">
            <v-text-field
              v-for="factor in factors"
              :key="factor.value"
              v-model="form.factors[factor.value]"
              inputmode="decimal"
              prefix="×"
              :label="factor.name"
              :hint="factor.house ? t('settings.house') : t('settings.own')"
              persistent-hint
              :error-messages="errorOf(factor.value)"
              :name="`factor-${factor.value}`" />
          </div>
          <v-checkbox v-model="form.also_past" :label="t('settings.past')" />
          <div v-if="here.mayWrite" class="row">
            <v-btn type="submit" variant="flat" color="primary" :loading="form.processing" data-test="submit">{{
              t('settings.save')
            }}</v-btn>
          </div>
        </fieldset>
      </form>
      <div class="side">
        <section>
          <h2>{{ t('settings.people') }}</h2>
          <ul>
            <li v-for="person in people" :key="person.email">
              <b>{{ person.name }}</b>, {{ person.role }}<span class="muted small email">{{ person.email }}</span>
            </li>
          </ul>
          <template v-if="here.role === 'owner'">
            <form class="row" @submit.prevent="invite.post('/invitations', { preserveScroll: true })">
              <v-select v-model="invite.role" :items="roles" :label="t('settings.invite_as')" density="compact" class="role" />
              <v-btn type="submit" :loading="invite.processing" data-test="invite">{{ t('settings.invite') }}</v-btn>
            </form>
            <div v-if="page.props.invitation" class="caution" role="status">
              <p>{{ t('settings.link') }}</p>
              <code data-test="invitation-link">{{ page.props.invitation }}</code>
            </div>
            <template v-if="invitations.length">
              <h2 class="open">{{ t('settings.invitations') }}</h2>
              <ul>
                <li v-for="invitation in invitations" :key="invitation.id" class="row">
                  {{ invitation.role }}, {{ t('settings.until') }} {{ invitation.until }}
                  <v-btn size="small" @click="router.delete(`/invitations/${invitation.id}`)">{{ t('settings.withdraw') }}</v-btn>
                </li>
              </ul>
            </template>
          </template>
        </section>
        <section>
          <h2>{{ t('settings.keys') }}</h2>
          <v-checkbox v-model="keys" :label="t('settings.saved_keys')" :hint="t('settings.keys_hint')" persistent-hint />
        </section>
      </div>
    </div>
  </AppShell>
</template>

<style scoped>
.two-columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  gap: 40px;
}
.four {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 10px;
}
.factors {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 10px;
}
p {
  margin: 0;
}
ul {
  list-style: none;
  padding: 0;
  margin: 8px 0 14px;
}
li {
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
.email {
  display: block;
}
.role {
  max-width: 130px;
}
.caution {
  margin-top: 12px;
}
code {
  overflow-wrap: anywhere;
  font-size: 12.5px;
}
.open {
  margin-top: 18px;
}
section {
  margin-bottom: 28px;
}
.side {
  padding-top: 8px;
}
@media (max-width: 900px) {
  .two-columns {
    grid-template-columns: minmax(0, 1fr);
  }
  .four,
  .factors {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
