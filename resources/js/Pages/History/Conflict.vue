<script setup lang="ts">
import type { FormDataConvertible } from '@inertiajs/core'
import { Link, router } from '@inertiajs/vue3'
import { computed } from 'vue'
import AppShell from '@/components/layout/AppShell.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { newActionId } from '@/composables/useActionForm'
import { t } from '@/composables/useText'
import type { ConflictPage } from '@/types/server'

interface Version {
  id: number
  day: string
  time: string | null
  bikeName?: string
  km?: string
  hours?: string | null
  conditionName?: string
}
const props = defineProps<ConflictPage>()
const rows = computed(() => [
  { title: t('conflict.seen'), version: props.seen },
  ...(props.current
    ? [
        {
          title: props.by ? `${t('conflict.theirs')} (${t('conflict.by')} ${props.by})` : t('conflict.theirs'),
          version: props.current,
        },
      ]
    : []),
])
const actionId = newActionId()
function insist(): void {
  if (!props.again) return
  const data = { ...(props.wanted as Record<string, FormDataConvertible>), action_id: actionId }
  if (props.again.method === 'delete') router.delete(props.again.url, { data })
  else router[props.again.method](props.again.url, data)
}
const line = (version: Version) =>
  [version.day, version.time, version.bikeName, version.km, version.hours, version.conditionName].filter(Boolean).join(', ')
</script>

<template>
  <AppShell :title="t('conflict.title')" at="history">
    <div class="page narrow" data-test="conflict">
      <h1>{{ t('conflict.title') }}</h1>
      <p>{{ current ? t('conflict.text') : t('conflict.gone') }}</p>
      <dl>
        <template v-for="row in rows" :key="row.title"
          ><dt>{{ row.title }}</dt>
          <dd>{{ line(row.version) }}</dd></template
        >
        <template v-if="!deleting"
          ><dt>{{ t('conflict.yours') }}</dt>
          <dd>{{ yours }}</dd></template
        >
      </dl>
      <div class="row">
        <PushButton v-if="current" main data-test="insist" @click="insist">{{
          deleting ? t('verbs.delete') : t('conflict.keep_yours')
        }}</PushButton>
        <Link href="/">{{ current ? t('conflict.keep_theirs') : t('conflict.back') }}</Link>
      </div>
    </div>
  </AppShell>
</template>

<style scoped>
.narrow {
  margin-inline: auto;
  max-width: 680px;
}
dl {
  display: grid;
  grid-template-columns: 200px 1fr;
  gap: 8px;
  margin: 18px 0;
}
dt {
  color: var(--steel);
}
dd {
  margin: 0;
  font-weight: 620;
}
.row {
  gap: 16px;
}
@media (max-width: 52.49em) {
  dl {
    grid-template-columns: 1fr;
    gap: 2px;
  }
  dd {
    margin-bottom: 8px;
  }
}
</style>
