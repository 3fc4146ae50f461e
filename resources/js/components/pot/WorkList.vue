<script setup lang="ts">
import { Link } from '@inertiajs/vue3'
import type { BenchWork } from '@/types/server'

/** What else is done at the bench, each with what it could be done to. */
defineProps<{ works: BenchWork[] }>()
</script>

<template>
  <div class="works">
    <section v-for="work in works" :key="work.what" :aria-labelledby="`work-${work.what}`" :data-test="`work-${work.what}`">
      <h3 :id="`work-${work.what}`" class="wide">{{ work.title }}</h3>
      <p class="muted small">{{ work.text }}</p>
      <ul>
        <li v-for="choice in work.choices" :key="choice.href">
          <Link :href="choice.href"
            ><b>{{ choice.title }}</b></Link
          >
          <span v-if="choice.text" class="small" :class="choice.due ? 'strong' : 'muted'">{{ choice.text }}</span>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.works {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 22px 30px;
  margin-top: 10px;
}
h3 {
  font-size: var(--type-4);
  margin: 0;
}
p {
  margin: 2px 0 4px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: baseline;
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
}
.strong {
  font-weight: 620;
}
@media (max-width: 52.49em) {
  .works {
    grid-template-columns: minmax(0, 1fr);
  }
  li {
    min-height: 44px;
    align-items: center;
  }
}
</style>
