<script setup lang="ts">
import { computed, ref } from 'vue'
import JarDialog from './JarDialog.vue'
import JarOnShelf from './JarOnShelf.vue'
import JarNameDialog from './JarNameDialog.vue'
import PushButton from '@/components/layout/PushButton.vue'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { Choice, FormDefaults, JarHazard, JarOutOfUse, JarView, SolventChoice } from '@/types/server'

/** The solvent jars; each danger is said once, with the jars that have it. */
defineProps<{
  jars: JarView[]
  jarsOutOfUse: JarOutOfUse[]
  hazards: JarHazard[]
  solvents: SolventChoice[]
  roles: Choice[]
  temperature: string
  forms: FormDefaults
  mayWrite: boolean
}>()
const chosen = ref<JarView | null>(null)
const open = ref(false)
const changing = ref<JarView | null>(null)
const changeOpen = computed({ get: () => changing.value !== null, set: (on: boolean) => !on && (changing.value = null) })
const discard = (id: number) => write('delete', `/jars/${id}`)
const useAgain = (one: JarOutOfUse) => write('put', `/jars/${one.id}`, { name: one.name, role: one.role, gone: false })
function show(jar: JarView | null): void {
  chosen.value = jar
  open.value = true
}
</script>

<template>
  <section aria-labelledby="jars">
    <div class="row between">
      <h2 id="jars">{{ t('jars.title') }}</h2>
      <PushButton v-if="mayWrite" data-test="add-jar" @click="show(null)">{{ t('jars.add') }}</PushButton>
    </div>
    <p v-if="!jars.length" class="muted">{{ t('jars.none') }}</p>
    <div class="shelf">
      <JarOnShelf
        v-for="jar in jars"
        :key="jar.id"
        :jar="jar"
        :may-write="mayWrite"
        @tend="show(jar)"
        @change="changing = jar"
        @discard="discard(jar.id)" />
    </div>
    <ul v-if="jarsOutOfUse.length" :aria-label="t('jars.out_of_use')">
      <li v-for="one in jarsOutOfUse" :key="one.id" class="row between" :data-test="`gone-${one.name}`">
        <span
          ><b>{{ one.name }}</b> <span class="muted small">{{ t('jars.out_of_use') }}</span></span
        >
        <span v-if="mayWrite" class="row">
          <button type="button" class="as-link" @click="useAgain(one)">{{ t('jars.use_again') }}</button>
          <button v-if="one.unused" type="button" class="as-link" @click="discard(one.id)">{{ t('jars.remove') }}</button>
        </span>
      </li>
    </ul>
    <ul v-if="hazards.length" class="small" data-test="hazards">
      <li v-for="hazard in hazards" :key="hazard.text + hazard.by">
        <b v-if="hazard.signal" class="signal">{{ hazard.signal }}</b><b>{{ hazard.jars }}:</b> {{ hazard.text }}
        <span class="muted">{{ hazard.by }}</span>
      </li>
    </ul>
    <p v-if="jars.length" class="caution">{{ t('jars.waste') }}</p>
    <details v-if="jars.length">
      <summary>{{ t('strip_plan.why') }}</summary>
      <p class="small">{{ t('jars.worked_out') }}</p>
    </details>
    <JarDialog
      v-if="open && mayWrite"
      v-model="open"
      :jar="chosen"
      :solvents="solvents"
      :roles="roles"
      :forms="forms"
      :temperature="temperature" />
    <JarNameDialog v-if="changing && mayWrite" v-model="changeOpen" :jar="changing" :roles="roles" />
  </section>
</template>

<style scoped>
.shelf {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 18px 26px;
  margin: 8px 0 12px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0 0 10px;
}
li {
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
p {
  margin: 4px 0 10px;
}
@media (max-width: 52.49em) {
  .shelf {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
