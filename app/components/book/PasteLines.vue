<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { usePastedText } from '../../composables/pastedText'
import type { Ingredient } from '../../../contracts/ingredient'
import type { DishCard } from '../../../core/formulation/dish/dish'
import { CoreError } from '../../../core/error'
import { dishFromAmounts } from '../../../core/formulation/exchange/dishFromAmounts'
import { PASSED_WORDS } from '../../../words/book'
import LabelledChoice from '../LabelledChoice.vue'
import PastedLine from './PastedLine.vue'
import TroubleNote from '../TroubleNote.vue'

const props = defineProps<{
  /** Lines to begin with. */
  lines: string
  /** Name to begin with. */
  name: string
  /** What was found out about the file it comes from; empty for none. */
  says?: string
  /** The ingredient table. */
  table: readonly Ingredient[]
  /** Id for the dish that comes of it. */
  newId: () => string
}>()

const emit = defineEmits<{
  /** The dish that was read. */
  dish: [dish: DishCard]
  /** What was pasted is the address of a dish. */
  address: [text: string]
}>()

const CUPS = [{ value: '240', label: 'a cup of 240 ml' }, { value: '250', label: 'a cup of 250 ml' }, { value: '200', label: 'a cup of 200 ml' }, { value: '180', label: 'a glass of 180 ml' }, { value: '150', label: 'a small cup of 150 ml' }]
const text = ref(props.lines)
const name = ref(props.name)
const cupMl = ref('240')
const trouble = ref('')
const { read, passed, beyond, open, guessed, decide, acceptAll } = usePastedText(text, () => props.table, () => Number(cupMl.value))
const options = computed(() => props.table.map(row => ({ value: row.id, label: row.name })))
/** A title in the text names the dish where nobody does. */
watch(text, (now) => {
  if (now.includes('#dish=')) emit('address', now)
})
const title = computed(() => passed.value.find(line => line.passed === 'title')?.text.replace(/^[#*\s]+/, '').slice(0, 60) ?? '')
const said = computed(() => (read.value.length === 0
  ? passed.value.length > 0 ? 'None of these lines names an ingredient.' : ''
  : open.value > 0 ? `${open.value} ${open.value === 1 ? 'line wants' : 'lines want'} a decision.` : 'Every line is decided.'))

function make(): void {
  try {
    const amounts = read.value.flatMap(line => (line.row && line.massG !== null && !line.left ? [{ ingredient: line.row.id, massG: line.massG }] : []))
    emit('dish', dishFromAmounts(props.newId(), name.value.trim().slice(0, 60) || title.value || 'A dish from a text', amounts, id => props.table.find(row => row.id === id)!))
    trouble.value = ''
  }
  catch (error) {
    if (!(error instanceof CoreError)) throw error
    trouble.value = 'None of these lines can be the base of a halwa: a grain, a flour, a lentil, a vegetable, a fruit or nuts. Nothing was changed.'
  }
}
</script>

<template>
  <section
    class="paste"
    aria-label="A text from elsewhere"
  >
    <p
      v-if="says"
      class="soft"
      role="status"
    >
      {{ says }}
    </p>
    <div class="two">
      <label>The text: its ingredient lines, one below the other
        <ElInput
          v-model="text"
          type="textarea"
          :rows="9"
          placeholder="1 cup sooji&#10;3/4 cup ghee&#10;गुड़ 200 ग्राम&#10;9 large pods of jackfruit"
        />
      </label>
      <div class="asks">
        <label>Name of the dish <ElInput
          v-model="name"
          maxlength="60"
          :placeholder="title"
        /></label>
        <LabelledChoice
          asks="In that text a cup is"
          :chosen="cupMl"
          :options="CUPS"
          @choose="value => cupMl = value"
        />
        <p
          v-if="said"
          :class="open > 0 ? 'danger' : 'soft'"
          role="status"
        >
          {{ said }}
        </p>
        <div class="ends">
          <ElButton
            v-if="guessed > 1"
            @click="acceptAll"
          >
            Take all {{ guessed }} guesses
          </ElButton>
          <ElButton
            type="primary"
            :disabled="open > 0 || read.length === 0"
            @click="make"
          >
            Make a dish of it
          </ElButton>
        </div>
        <TroubleNote :says="trouble" />
      </div>
    </div>
    <ul
      v-if="read.length > 0"
      class="read"
      aria-label="What each line says"
    >
      <PastedLine
        v-for="line in read"
        :key="line.key"
        :line="line"
        :options="options"
        @decide="what => decide(line.key, what)"
      />
    </ul>
    <section
      v-if="passed.length > 0 || beyond.length > 0"
      class="over"
      aria-label="Passed over"
    >
      <h3>Passed over</h3>
      <ul>
        <li
          v-for="line in passed"
          :key="line.key"
        >
          <span>{{ line.text }}</span>
          <em class="soft small">{{ PASSED_WORDS[line.passed!] }}</em>
          <ElButton
            text
            :aria-label="`Read as an ingredient: ${line.text}`"
            @click="decide(line.key, { asIngredient: true })"
          >
            it is an ingredient
          </ElButton>
        </li>
        <li
          v-for="(line, i) in beyond"
          :key="i"
        >
          <span>{{ line }}</span> <em class="danger small">not read: more lines than can be</em>
        </li>
      </ul>
    </section>
  </section>
</template>

<style scoped>
.paste { display: grid; gap: 14px; }
.two { display: grid; grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr); gap: 26px; }
label { display: grid; gap: 4px; font-weight: 600; }
.asks { display: grid; gap: 8px; align-content: start; }
.ends { display: flex; flex-wrap: wrap; gap: 10px; }
ul { list-style: none; margin: 0; padding: 0; }
.over li { display: flex; flex-wrap: wrap; gap: 4px 14px; align-items: baseline; color: var(--ink-soft); border-top: 1px solid var(--line); }
.over li span { overflow-wrap: anywhere; }
.over h3 { margin: 0 0 4px; font-size: 1.0625rem; }
@media (max-width: 760px) {
  .two { grid-template-columns: minmax(0, 1fr); }
}
</style>
