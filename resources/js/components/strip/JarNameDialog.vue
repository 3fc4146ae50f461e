<script setup lang="ts">
import ActionDialog from '@/components/forms/ActionDialog.vue'
import PushButton from '@/components/layout/PushButton.vue'
import TapChoice from '@/components/forms/TapChoice.vue'
import TextField from '@/components/forms/TextField.vue'
import { useActionForm } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import type { Choice, JarView } from '@/types/server'

/** What a jar is called and what it is for; an empty one goes out of use. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ jar: JarView; roles: Choice[] }>()
const { form, submit } = useActionForm({ name: props.jar.name, role: props.jar.role as string, gone: false })
function save(gone: boolean): void {
  form.gone = gone
  submit('put', `/jars/${props.jar.id}`, () => (open.value = false))
}
</script>

<template>
  <ActionDialog
    v-model="open"
    :title="`${t('jars.edit')}: ${jar.name}`"
    :verb="t('jars.save')"
    :busy="form.processing"
    :errors="form.errors"
    :known="['name', 'role']"
    test="jar-name-form"
    @submit="save(false)">
    <TextField v-model="form.name" :label="t('books.name')" :error-messages="form.errors.name" name="name" />
    <TapChoice v-model="form.role" :legend="t('jars.role')" :options="roles" test="role" />
    <div v-if="jar.empty && !jar.unused" class="row">
      <PushButton data-test="jar-gone" @click="save(true)">{{ t('jars.gone') }}</PushButton>
    </div>
  </ActionDialog>
</template>
