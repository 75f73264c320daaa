<script setup lang="ts">
import { computed } from 'vue'
import { gramsText } from '../../composables/format'
import type { Ingredient } from '../../../contracts/ingredient'
import type { DishCard } from '../../../core/formulation/dish/dish'
import { applySwap } from '../../../core/formulation/swaps/applySwap'
import type { SwapRule } from '../../../core/formulation/swaps/swap'
import { solveSwap } from '../../../core/formulation/swaps/solveSwap'
import { BALANCE_WORDS, SWAP_WORDS } from '../../../words/measure'

const props = defineProps<{
  /** Swaps of the book. */
  swaps: readonly SwapRule[]
  /** Id of the ingredient within the dish. */
  id: string
  /** Dish in hand. */
  card: DishCard
  /** Weight of its base, g. */
  baseG: number
  /** Rows of the ingredient table. */
  rowOf: (id: string) => Ingredient
}>()

const emit = defineEmits<{
  /** The dish after a swap. */
  swap: [card: DishCard]
}>()

/** A change of sweetness below this share of the base is not worth a word. */
const TASTED = 0.02
const grams = (perBase: number): string => gramsText(Math.abs(perBase) * props.baseG)
const offers = computed(() => {
  const one = props.card.ingredients.find(known => known.id === props.id)
  if (!one) return []
  return props.swaps.filter(rule => rule.from.includes(one.ingredient) && !rule.to.every(to => to === one.ingredient)).map((rule) => {
    const outcome = solveSwap(props.card, props.id, rule, props.rowOf)
    const name = (ingredient: string): string => props.rowOf(ingredient).name.toLowerCase()
    const coming = outcome.changes.slice(1).filter(change => Math.abs(change.after - change.before) * props.baseG >= 0.5)
    return {
      id: rule.id, outcome,
      title: rule.to.filter(to => to !== 'water').map(name).join(' and '),
      changes: coming.map(change => `${change.before > 1e-4 ? change.after > change.before ? '+' : '−' : ''}${grams(change.after - change.before)} ${name(change.ingredient)}`).join(', '),
      unkept: outcome.unkept.map(left => `${grams(left.perBase)} ${left.perBase > 0 ? 'more' : 'less'} ${BALANCE_WORDS[left.balance]}`).join(', '),
      sweet: Math.abs(outcome.sweetness) > TASTED ? `${outcome.sweetness > 0 ? 'sweeter' : 'less sweet'} by ${grams(outcome.sweetness)} of sugar` : '',
      notes: outcome.notes.map(note => SWAP_WORDS[note] ?? '').join(' '),
    }
  })
})
function swap(id: string): void {
  const offer = offers.value.find(one => one.id === id)
  if (offer) emit('swap', applySwap(props.card, offer.outcome, props.rowOf))
}
</script>

<template>
  <div v-if="offers.length > 0">
    <h3>Instead of it, keeping the balance</h3>
    <div class="swaps">
      <ElButton
        v-for="one in offers"
        :key="one.id"
        plain
        class="offer"
        @click="swap(one.id)"
      >
        <strong>{{ one.title }}</strong>
        <span>{{ one.changes }}</span>
        <span
          v-if="one.unkept"
          class="danger small"
        >cannot be kept: {{ one.unkept }}</span>
        <span
          v-else
          class="soft small"
        >water, fat, sugar and solids as before</span>
        <span
          v-if="one.sweet"
          class="small"
        >{{ one.sweet }}</span>
        <span class="soft small">{{ one.notes }}</span>
      </ElButton>
    </div>
  </div>
</template>

<style scoped>
.swaps { display: grid; grid-template-columns: repeat(auto-fill, minmax(230px, 1fr)); gap: 10px; margin-top: 6px; }
</style>
