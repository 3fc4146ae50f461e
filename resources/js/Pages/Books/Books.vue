<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { computed, ref } from 'vue'
import BottleShelf from '@/components/books/BottleShelf.vue'
import PriceList from '@/components/books/PriceList.vue'
import SpareLinks from '@/components/books/SpareLinks.vue'
import JarDialog from '@/components/strip/JarDialog.vue'
import JarOnShelf from '@/components/strip/JarOnShelf.vue'
import BathDialog from '@/components/pot/BathDialog.vue'
import PotDialog from '@/components/pot/PotDialog.vue'
import PotOnShelf from '@/components/pot/PotOnShelf.vue'
import PartLife from '@/components/wear/PartLife.vue'
import AppShell from '@/components/layout/AppShell.vue'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { BooksPage, JarView, PotInBooks, PotOutOfUse } from '@/types/server'

defineProps<BooksPage>()
const here = useHere()
const open = ref<'jar' | 'tend' | 'pot' | 'bath' | null>(null)
const tending = ref<JarView | null>(null)
const shown = (...names: string[]) =>
  computed({ get: () => open.value !== null && names.includes(open.value), set: (on: boolean) => !on && (open.value = null) })
const [jarOpen, potOpen, bathOpen] = [shown('jar', 'tend'), shown('pot'), shown('bath')]
const pot = ref<PotInBooks | null>(null)
function forPot(what: 'pot' | 'bath', chosen: PotInBooks | null): void {
  pot.value = chosen
  open.value = what
}
const discardPot = (id: number) => write('delete', `/pots/${id}`)
const useAgain = (one: PotOutOfUse) => write('put', `/pots/${one.id}`, { ...one.fields, gone: false })
function tend(jar: JarView | null): void {
  tending.value = jar
  open.value = jar === null ? 'jar' : 'tend'
}
const remove = (type: string, id: number) => write('delete', `/entries/${type}/${id}`)
</script>

<template>
  <AppShell :title="t('books.title')" at="books">
    <div class="page">
      <div class="row head">
        <h1>{{ t('books.title') }}</h1>
        <Link href="/books/money" data-test="money">{{ t('money.title') }}</Link>
        <Link v-if="here.mayWrite" href="/strip" data-test="plan-strip">{{ t('books.strip') }}</Link>
        <Link v-if="here.mayWrite && pots.length" href="/pot-day" data-test="plan-pot-day">{{ t('pot_day.title') }}</Link>
      </div>
      <div class="cols">
        <section aria-labelledby="jars">
          <div class="row between">
            <h2 id="jars">{{ t('books.jars') }}</h2>
            <v-btn v-if="here.mayWrite" size="small" data-test="add-jar" @click="tend(null)">{{ t('books.add_jar') }}</v-btn>
          </div>
          <p class="muted small">{{ jars.length ? t('books.jars_text') : t('books.no_jars') }}</p>
          <div class="shelf">
            <JarOnShelf
              v-for="jar in jars"
              :key="jar.id"
              :jar="jar"
              :may-write="here.mayWrite"
              @tend="tend(jar)"
              @remove="remove('jar_entries', $event)" />
          </div>
          <p class="caution">{{ t('books.waste') }}</p>
          <details v-if="jars.length">
            <summary>{{ t('strip_plan.why') }}</summary>
            <p class="small">{{ t('books.worked_out') }}</p>
          </details>
        </section>
        <div class="side">
          <section aria-labelledby="pots">
            <div class="row between">
              <h2 id="pots">{{ t('pot_form.title') }}</h2>
              <v-btn v-if="here.mayWrite" size="small" data-test="add-pot" @click="forPot('pot', null)">{{ t('pot_form.add') }}</v-btn>
            </div>
            <p class="muted small">{{ pots.length ? t('pot_form.text') : t('pot_form.none') }}</p>
            <PotOnShelf
              v-for="one in pots"
              :key="one.id"
              :pot="one"
              :temperature="units.temperature"
              :may-write="here.mayWrite"
              @tend="forPot('bath', one)"
              @change="forPot('pot', one)"
              @discard="discardPot(one.id)"
              @remove="remove('bath_entries', $event)" />
            <ul v-if="potsOutOfUse.length" class="parts" :aria-label="t('pot_form.out_of_use')">
              <li v-for="one in potsOutOfUse" :key="one.id" :data-test="`gone-${one.name}`">
                <span
                  ><b>{{ one.name }}</b> <span class="muted small">{{ t('pot_form.out_of_use') }}, {{ one.about }}</span></span
                >
                <span v-if="here.mayWrite" class="where">
                  <button type="button" class="as-link" @click="useAgain(one)">{{ t('pot_form.use_again') }}</button>
                  <button v-if="one.unused" type="button" class="as-link" @click="discardPot(one.id)">{{ t('pot_form.discard') }}</button>
                </span>
              </li>
            </ul>
            <details v-if="pots.length">
              <summary>{{ t('strip_plan.why') }}</summary>
              <p class="small">{{ t('pot_form.worked_out') }}</p>
            </details>
          </section>
          <BottleShelf :bottles="bottles" :currency="units.currency" :today="forms.date" :may-write="here.mayWrite" />
          <PriceList :prices="prices" :supplies="supplies" :currency="units.currency" :today="forms.date" :may-write="here.mayWrite" />
          <section aria-labelledby="parts">
            <h2 id="parts">{{ t('books.parts') }}</h2>
            <p class="muted small">{{ parts.length ? t('books.parts_text') : t('books.no_parts') }}</p>
            <ul v-if="parts.length" class="parts">
              <li v-for="part in parts" :key="part.id">
                <PartLife :part="part" /><span class="muted small where"
                  >{{ part.where }}<b v-if="part.price">{{ part.price }}</b></span
                >
              </li>
            </ul>
          </section>
          <SpareLinks :links="links" :currency="units.currency" :may-write="here.mayWrite" />
        </div>
      </div>
    </div>
    <template v-if="here.mayWrite">
      <JarDialog
        v-if="jarOpen"
        v-model="jarOpen"
        :jar="tending"
        :solvents="solvents"
        :roles="roles"
        :forms="forms"
        :temperature="units.temperature" />
      <PotDialog v-if="potOpen" v-model="potOpen" :pot="pot" :choices="potChoices" :temperature="units.temperature" />
      <BathDialog v-if="bathOpen && pot" v-model="bathOpen" :pot="pot" :units="units" :forms="forms" />
    </template>
  </AppShell>
</template>

<style scoped>
.where {
  text-align: right;
}
.where b {
  display: block;
}
.parts {
  list-style: none;
  padding: 0;
  margin: 4px 0 0;
}
.parts li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
.head {
  gap: 18px;
  align-items: baseline;
  margin-bottom: 18px;
}
.cols {
  display: grid;
  grid-template-columns: minmax(0, 7fr) minmax(0, 5fr);
  gap: 40px;
  align-items: start;
}
p {
  margin: 4px 0 10px;
}
.shelf {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 18px 26px;
  margin-bottom: 18px;
}
.side {
  display: grid;
  gap: 34px;
}
@media (max-width: 1144.98px) {
  .cols,
  .shelf {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
