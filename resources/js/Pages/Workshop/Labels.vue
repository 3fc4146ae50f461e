<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import QRCode from 'qrcode'
import { nextTick, onMounted, ref } from 'vue'
import AppShell from '@/components/layout/AppShell.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { useFew } from '@/composables/useFew'
import { t } from '@/composables/useText'
import type { LabelsPage } from '@/types/server'

const props = defineProps<LabelsPage>()
const codes = ref<Record<number, string>>({})
onMounted(async () => {
  const drawn = await Promise.all(
    props.tags.map(async (tag) => [tag.id, await QRCode.toString(tag.url, { type: 'svg', margin: 0, errorCorrectionLevel: 'Q' })] as const),
  )
  codes.value = Object.fromEntries(drawn)
})
const few = useFew(() => props.tags, 4)
// Paper takes all of them.
async function print(): Promise<void> {
  few.all.value = true
  await nextTick()
  window.print()
}
</script>

<template>
  <AppShell :title="t('labels.title')" at="settings">
    <div class="page">
      <div class="row head">
        <h1>{{ t('labels.title') }}</h1>
        <PushButton v-if="tags.length" main data-test="print" @click="print">{{ t('labels.print') }}</PushButton>
        <Link href="/settings">{{ t('settings.title') }}</Link>
      </div>
      <p class="muted note">{{ tags.length ? t('labels.text') : t('labels.none') }}</p>
      <p v-if="tags.length && !reachable" class="caution note">{{ t('labels.not_reachable') }}</p>
      <div class="tags">
        <article v-for="tag in few.shown.value" :key="tag.id" class="tag" data-test="tag">
          <span class="hole" aria-hidden="true" />
          <div class="face">
            <b class="letter">{{ tag.letter }}</b>
            <span class="bike wide">{{ tag.bike }}</span>
            <span class="about">{{ tag.about }}</span>
          </div>
          <!-- eslint-disable-next-line vue/no-v-html -- drawn by the QR package from an address of this server -->
          <div class="code" role="img" :aria-label="tag.url" v-html="codes[tag.id]" />
        </article>
      </div>
      <PushButton v-if="few.hidden.value" class="hold" data-test="show-all" @click="few.all.value = true">{{
        t('few.more', { count: few.hidden.value })
      }}</PushButton>
      <div class="tags">
        <article v-for="bike in bikes" :key="bike.id" class="bench" data-test="bench-label">
          <span class="bike wide">{{ bike.name }}</span>
          <span>{{ bike.interval }}, {{ bike.limit }}</span>
          <span class="letters"
            ><b v-for="letter in bike.letters" :key="letter">{{ letter }}</b></span
          >
        </article>
      </div>
    </div>
  </AppShell>
</template>

<style scoped>
.head {
  gap: 16px;
  align-items: center;
}
.note {
  max-width: 640px;
  margin: 8px 0 14px;
}
.tags {
  display: flex;
  flex-wrap: wrap;
  gap: 4mm;
  margin-bottom: 6mm;
}
.tag,
.bench {
  background: #fff;
  color: #000;
  border: 0.4mm solid #000;
  border-radius: 1.5mm;
  break-inside: avoid;
}
.tag {
  width: 60mm;
  height: 32mm;
  display: grid;
  grid-template-columns: 7mm 1fr 24mm;
  align-items: center;
  padding: 3mm;
  gap: 1mm;
}
.hole {
  width: 4.5mm;
  height: 4.5mm;
  border: 0.3mm dashed #000;
  border-radius: 50%;
}
.face {
  display: grid;
  line-height: 1.15;
}
.letter {
  font-stretch: 112%;
  font-weight: 800;
  font-size: 13mm;
  line-height: 1;
}
.bike {
  font-size: 4.4mm;
}
.about {
  font-size: 2.7mm;
}
.code {
  width: 24mm;
  height: 24mm;
  line-height: 0;
}
.code :deep(svg) {
  width: 100%;
  height: 100%;
}
.bench {
  width: 60mm;
  padding: 3mm 4mm;
  display: grid;
  gap: 1.2mm;
  font-size: 3mm;
}
.letters {
  display: flex;
  gap: 2mm;
}
.letters b {
  border: 0.3mm solid #000;
  border-radius: 1mm;
  padding: 0.4mm 1.6mm;
  font-size: 4mm;
}
@media print {
  .head,
  .note {
    display: none;
  }
  .page {
    padding: 0;
  }
}
</style>
