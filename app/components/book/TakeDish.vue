<script setup lang="ts">
import { computed } from 'vue'
import { gramsText } from '../../composables/format'
import type { Ingredient } from '../../../contracts/ingredient'
import type { SharedDish } from '../../../contracts/sharedDish'
import { familyName, schoolOf } from '../../../words/dish'
import TroubleNote from '../TroubleNote.vue'

const props = defineProps<{
  /** The dish that came, with ingredients of the giving household's own. */
  shared: SharedDish
  /** Ingredients of this house. */
  table: readonly Ingredient[]
}>()

const emit = defineEmits<{
  /** It is to be kept. */
  keep: []
  /** It is not wanted. */
  leave: []
}>()

const rows = computed(() => new Map([...props.table, ...props.shared.ingredients].map(row => [row.id, row])))
const amounts = computed(() => props.shared.dish.ingredients.map(one => ({ id: one.id, says: `${gramsText(one.perBase * props.shared.dish.usual.baseG)} ${(rows.value.get(one.ingredient)?.name ?? one.ingredient.replaceAll('-', ' ')).toLowerCase()}` })))
const unknown = computed(() => props.shared.dish.ingredients.filter(one => !rows.value.has(one.ingredient)).map(one => one.ingredient.replaceAll('-', ' ')))
</script>

<template>
  <section
    class="slab"
    aria-label="A dish from another house"
  >
    <h2>{{ shared.dish.name }}, from another house</h2>
    <p class="soft">
      {{ familyName(shared.dish) }}: {{ schoolOf(shared.dish).join(' · ') }}
    </p>
    <ul>
      <li
        v-for="one in amounts"
        :key="one.id"
      >
        {{ one.says }}
      </li>
    </ul>
    <p v-if="shared.ingredients.length > 0">
      It brings {{ shared.ingredients.length === 1 ? 'an ingredient of that house\'s own' : `${shared.ingredients.length} ingredients of that house's own` }}: {{ shared.ingredients.map(row => row.name).join(', ') }}.
    </p>
    <TroubleNote
      v-if="unknown.length > 0"
      :says="`This house does not know ${unknown.join(', ')}: the address was made by a newer house, or is not whole. It cannot be kept.`"
    />
    <div class="ends">
      <ElButton
        type="primary"
        :disabled="unknown.length > 0"
        @click="emit('keep')"
      >
        Keep it in our book
      </ElButton>
      <ElButton
        text
        @click="emit('leave')"
      >
        Leave it
      </ElButton>
    </div>
  </section>
</template>

<style scoped>
section { display: grid; gap: 8px; }
h2, p { margin: 0; }
ul { margin: 0; padding: 0; list-style: none; display: flex; flex-wrap: wrap; gap: 4px 18px; font-size: 1.1rem; }
.ends { display: flex; flex-wrap: wrap; gap: 10px; }
</style>
