<script setup lang="ts">
import { router, useForm, usePage } from '@inertiajs/vue3'
import { ref } from 'vue'
import PasskeyList from './PasskeyList.vue'
import PasswordForm from './PasswordForm.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { confirmed } from '@/composables/useConfirmed'
import { useHere } from '@/composables/useHere'
import { choicesOf, t } from '@/composables/useText'
import type { PeopleView, PersonView } from '@/types/server'

/** Who is in the workshop, as what, and on which devices; the owner invites, changes roles, hands over. */
defineProps<Omit<PeopleView, 'workshops' | 'opensWorkshops'>>()
const here = useHere()
const page = usePage()
const invite = useForm({ role: 'member' })
const roles = choicesOf(['member', 'viewer'], (value) => `roles.${value}`)
// What ends somebody's access, or one's own, is asked once more.
const sure = ref<string | null>(null)
function twice(key: string, act: () => void): void {
  if (sure.value !== key) {
    sure.value = key
    return
  }
  sure.value = null
  act()
}
const change = (person: PersonView, role: string) => router.put(`/people/${person.id}`, { role }, { preserveScroll: true })
const remove = (person: PersonView) => twice(`remove-${person.id}`, () => router.delete(`/people/${person.id}`, { preserveScroll: true }))
const handOver = (person: PersonView) =>
  twice(`hand-${person.id}`, () => void confirmed(() => router.post(`/people/${person.id}/hand-over`, {}, { preserveScroll: true })))
const leave = () => twice('leave', () => router.post('/leave'))
const signOutOthers = () => router.delete('/sign-ins', { preserveScroll: true })
const signOut = (device: number) => router.delete(`/sign-ins/${device}`, { preserveScroll: true })
const problem = () => (page.props.errors as Record<string, string>).role
</script>

<template>
  <section aria-labelledby="people">
    <h2 id="people">{{ t('settings.people') }}</h2>
    <ul>
      <li v-for="person in people" :key="person.id" data-test="person">
        <div class="who">
          <span
            ><b>{{ person.name }}</b
            ><template v-if="!(here.role === 'owner' && !person.owner)">, {{ person.role }}</template></span
          >
          <span class="muted small email">{{ person.email }}</span>
        </div>
        <div v-if="here.role === 'owner' && !person.owner" class="row acts">
          <v-select
            :model-value="person.roleValue"
            :items="roles"
            :label="`${t('people_panel.role')}: ${person.name}`"
            density="compact"
            class="role"
            @update:model-value="change(person, $event)" />
          <PushButton :data-test="`hand-over-${person.name}`" @click="handOver(person)">{{
            sure === `hand-${person.id}` ? t('people_panel.sure_hand_over') : t('people_panel.hand_over')
          }}</PushButton>
          <PushButton :data-test="`remove-${person.name}`" @click="remove(person)">{{
            sure === `remove-${person.id}` ? t('people_panel.sure') : t('people_panel.remove')
          }}</PushButton>
        </div>
        <PushButton v-if="person.me && !person.owner" data-test="leave" @click="leave">{{
          sure === 'leave' ? t('people_panel.sure') : t('people_panel.leave')
        }}</PushButton>
      </li>
    </ul>
    <p v-if="problem()" class="ember" role="alert">{{ problem() }}</p>
    <template v-if="here.role === 'owner'">
      <form class="row" @submit.prevent="confirmed(() => invite.post('/invitations', { preserveScroll: true }))">
        <v-select v-model="invite.role" :items="roles" :label="t('settings.invite_as')" density="compact" class="role" />
        <PushButton type="submit" :loading="invite.processing" data-test="invite">{{ t('settings.invite') }}</PushButton>
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
            <PushButton @click="router.delete(`/invitations/${invitation.id}`, { preserveScroll: true })">{{
              t('settings.withdraw')
            }}</PushButton>
          </li>
        </ul>
      </template>
    </template>
    <PasswordForm v-if="!here.demo" />
    <PasskeyList v-if="passkeys" :passkeys="passkeys" />
    <h2 class="open">{{ t('people_panel.devices') }}</h2>
    <ul>
      <li v-for="device in devices" :key="device.id" class="device" data-test="device">
        <span
          ><b>{{ device.phone ? t('people_panel.phone') : t('people_panel.computer') }}</b
          >{{ device.here ? `, ${t('people_panel.here')}` : ''
          }}<span class="muted small email">{{ device.seen }}, {{ device.address }}</span></span
        >
        <PushButton v-if="!device.here" @click="signOut(device.id)">{{ t('people_panel.sign_out') }}</PushButton>
      </li>
    </ul>
    <PushButton v-if="devices.length > 1" data-test="sign-out-others" @click="signOutOthers">{{
      t('people_panel.sign_out_others')
    }}</PushButton>
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
.device {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
}
.email {
  display: block;
}
.role {
  max-width: 140px;
}
.acts {
  margin-top: 8px;
}
.caution {
  margin-top: 12px;
}
p {
  margin: 0 0 6px;
}
code {
  overflow-wrap: anywhere;
  font-size: var(--type-2);
}
.open {
  margin-top: 18px;
}
</style>
