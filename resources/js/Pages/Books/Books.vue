<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import { computed, ref } from 'vue'
import BottleShelf from '@/components/books/BottleShelf.vue'
import JarDialog from '@/components/strip/JarDialog.vue'
import JarOnShelf from '@/components/strip/JarOnShelf.vue'
import PotDialog from '@/components/pot/PotDialog.vue'
import PotOnShelf from '@/components/pot/PotOnShelf.vue'
import ActionDialog from '@/components/forms/ActionDialog.vue'
import NumberField from '@/components/forms/NumberField.vue'
import PartLife from '@/components/wear/PartLife.vue'
import AppShell from '@/components/layout/AppShell.vue'
import { useActionForm } from '@/composables/useActionForm'
import { useHere } from '@/composables/useHere'
import { t } from '@/composables/useText'
import { write } from '@/composables/useWrite'
import type { BooksPage, JarView, PotInBooks } from '@/types/server'

const props = defineProps<BooksPage>()
const here = useHere()
const open = ref<'jar' | 'tend' | 'price' | 'link' | 'pot' | null>(null)
const tending = ref<JarView | null>(null)
const shown = (...names: string[]) =>
  computed({ get: () => open.value !== null && names.includes(open.value), set: (on: boolean) => !on && (open.value = null) })
const [jarOpen, priceOpen, linkOpen, potOpen] = [shown('jar', 'tend'), shown('price'), shown('link'), shown('pot')]
const pot = ref<PotInBooks | null>(null)
function tendPot(chosen: PotInBooks | null): void {
  pot.value = chosen
  open.value = 'pot'
}
function tend(jar: JarView | null): void {
  tending.value = jar
  open.value = jar === null ? 'jar' : 'tend'
}
const { form: price, submit: sendPrice } = useActionForm({ supply: 'chain', amount: '', quantity: '1', date: props.forms.date })
const supply = computed(() => props.supplies.find((other) => other.value === price.supply))
function chooseSupply(value: string): void {
  price.supply = value
  price.quantity = supply.value?.usual ?? '1'
}
const { form: link, submit: sendLink } = useActionForm({
  name: t('parts.quick_link'),
  count: '1',
  speeds: '',
  closings_allowed: '',
  price: '',
})
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
          <div class="row title">
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
            <div class="row title">
              <h2 id="pots">{{ t('pot_form.title') }}</h2>
              <v-btn v-if="here.mayWrite" size="small" data-test="add-pot" @click="tendPot(null)">{{ t('pot_form.add') }}</v-btn>
            </div>
            <p class="muted small">{{ pots.length ? t('pot_form.text') : t('pot_form.none') }}</p>
            <PotOnShelf
              v-for="one in pots"
              :key="one.id"
              :pot="one"
              :temperature="units.temperature"
              :may-write="here.mayWrite"
              @tend="tendPot(one)"
              @remove="remove('bath_entries', $event)" />
            <details v-if="pots.length">
              <summary>{{ t('strip_plan.why') }}</summary>
              <p class="small">{{ t('pot_form.worked_out') }}</p>
            </details>
          </section>
          <BottleShelf :bottles="bottles" :currency="units.currency" :today="forms.date" :may-write="here.mayWrite" />
          <section aria-labelledby="prices">
            <div class="row title">
              <h2 id="prices">{{ t('books.prices') }}</h2>
              <v-btn v-if="here.mayWrite" size="small" data-test="set-price" @click="open = 'price'">{{ t('books.set_price') }}</v-btn>
            </div>
            <p class="muted small">{{ prices.length ? t('books.prices_text') : t('books.no_prices') }}</p>
            <table v-if="prices.length" class="plain">
              <thead>
                <tr>
                  <th>{{ t('books.supply') }}</th>
                  <th class="num">{{ t('books.amount') }}</th>
                  <th>{{ t('books.quantity') }}</th>
                  <th>{{ t('books.from') }}</th>
                  <th v-if="here.mayWrite">
                    <span class="sr">{{ t('verbs.delete') }}</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="row in prices" :key="row.id" :data-test="`price-${row.supply}`">
                  <td>{{ row.supply }}</td>
                  <td class="num">
                    <b>{{ row.amount }}</b>
                  </td>
                  <td>{{ row.quantity }}</td>
                  <td class="muted">{{ row.from }}</td>
                  <td v-if="here.mayWrite" class="num">
                    <button
                      type="button"
                      :aria-label="`${t('verbs.delete')}: ${row.supply}, ${row.from}`"
                      @click="remove('prices', row.id)">
                      {{ t('verbs.delete') }}
                    </button>
                  </td>
                </tr>
              </tbody>
            </table>
          </section>
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
          <section aria-labelledby="links">
            <div class="row title">
              <h2 id="links">{{ t('books.links') }}</h2>
              <v-btn v-if="here.mayWrite" size="small" data-test="add-link" @click="open = 'link'">{{ t('books.add_link') }}</v-btn>
            </div>
            <p class="muted small">{{ links.length ? t('books.links_text') : t('books.no_links') }}</p>
            <ul v-if="links.length">
              <li v-for="spare in links" :key="spare.id" data-test="spare">
                <b>{{ spare.name }}</b><span class="muted">{{ spare.about }}</span
                ><span>{{ spare.price }}</span>
              </li>
            </ul>
          </section>
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
      <PotDialog v-if="potOpen" v-model="potOpen" :pot="pot" :choices="potChoices" :units="units" :forms="forms" />
      <ActionDialog
        v-if="priceOpen"
        v-model="priceOpen"
        :title="t('books.set_price')"
        :verb="t('books.set_price')"
        :busy="price.processing"
        :errors="price.errors"
        :known="['supply', 'amount', 'quantity', 'date']"
        test="price-form"
        @submit="sendPrice('post', '/prices', () => (open = null))">
        <v-select
          :model-value="price.supply"
          :items="supplies"
          :label="t('books.supply')"
          :error-messages="price.errors.supply"
          data-test="supply"
          @update:model-value="chooseSupply" />
        <div class="two">
          <NumberField
            v-model="price.amount"
            :label="t('books.amount')"
            :unit="units.currency"
            :error-messages="price.errors.amount"
            name="amount" />
          <NumberField
            v-model="price.quantity"
            :label="t('books.quantity')"
            :unit="supply?.unit"
            :error-messages="price.errors.quantity"
            name="quantity" />
        </div>
        <v-text-field v-model="price.date" type="date" :label="t('books.from')" :error-messages="price.errors.date" name="date" />
      </ActionDialog>
      <ActionDialog
        v-if="linkOpen"
        v-model="linkOpen"
        :title="t('books.add_link')"
        :verb="t('books.add_link')"
        :busy="link.processing"
        :errors="link.errors"
        :known="['name', 'count', 'speeds', 'closings_allowed', 'price']"
        test="link-form"
        @submit="sendLink('post', '/links', () => (open = null))">
        <div class="two">
          <v-text-field v-model="link.name" :label="t('books.name')" :error-messages="link.errors.name" name="name" />
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
        <NumberField
          v-model="link.price"
          :label="t('books.price')"
          :unit="units.currency"
          :error-messages="link.errors.price"
          name="price" />
      </ActionDialog>
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
.title {
  justify-content: space-between;
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
td button {
  font: inherit;
  color: var(--steel);
  background: none;
  border: 0;
  min-height: 26px;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
@media (max-width: 1144.98px) {
  .cols,
  .shelf {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 839.98px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  li .muted {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
</style>
