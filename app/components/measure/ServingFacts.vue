<script setup lang="ts">
import { computed } from 'vue'
import { gramsText } from '../../composables/format'
import { KJ_PER_KCAL } from '../../../core/materials/composition/energyOf'
import type { DishYield } from '../../../core/formulation/yield/yieldOf'
import { FAT_WORDS } from '../../../words/measure'

const props = defineProps<{
  /** What comes of the dish. */
  dishYield: DishYield
  /** The few that are looked at first, or the rest. */
  part: 'first' | 'rest'
  /** Money of the household. */
  currency: string
}>()

const round = (value: number, places = 0): number => Math.round(value * 10 ** places) / 10 ** places
const spread = computed(() => Math.round(props.dishYield.servingSpread * 100))
const cost = computed(() => {
  const { cost: found } = props.dishYield
  if (!found) return ''
  const money = (value: number): string => `${value < 10 ? round(value, 2).toFixed(2) : round(value)}${props.currency ? ` ${props.currency}` : ''}`
  return `${money(found.total)}, ${money(found.each)} each`
})
</script>

<template>
  <dl
    v-if="part === 'first'"
    class="facts"
  >
    <div>
      <dt>Servings</dt>
      <dd>{{ round(dishYield.servings) }} <span class="soft">of {{ gramsText(dishYield.serving.massG) }}</span></dd>
    </div>
    <div>
      <dt>Sweet as</dt>
      <dd>{{ round(dishYield.sweetness.warm) }} % sugar <span class="soft">warm, {{ round(dishYield.sweetness.cold) }} % cold</span></dd>
    </div>
    <div>
      <dt>Fat</dt>
      <dd :class="{ danger: dishYield.fat === 'pools' }">
        {{ FAT_WORDS[dishYield.fat] }}
      </dd>
    </div>
  </dl>
  <dl
    v-else
    class="facts rest"
  >
    <div class="wide">
      <dt>A serving</dt>
      <dd>
        {{ round(dishYield.serving.energyKj / 10) * 10 }} kJ ({{ round(dishYield.serving.energyKj / KJ_PER_KCAL / 5) * 5 }} kcal), {{ gramsText(dishYield.serving.fatG) }} fat, {{ gramsText(dishYield.serving.sugarG) }} sugars, {{ gramsText(dishYield.serving.fibreG) }} fibre, {{ gramsText(dishYield.serving.proteinG) }} protein
        <span class="soft small">± {{ spread }} %, an estimate from tables, not medical advice<template v-if="dishYield.recalled.length > 0">; {{ dishYield.recalled.join(', ').toLowerCase() }} recalled, unchecked</template></span>
      </dd>
    </div>
    <div class="wide">
      <dt>Allergens</dt>
      <dd>{{ dishYield.allergens.length === 0 ? 'none of those we list' : dishYield.allergens.map(one => one.allergen).join(', ') }}</dd>
    </div>
    <div
      v-if="cost"
      class="wide"
    >
      <dt>Cost</dt>
      <dd>
        {{ cost }}
        <span
          v-if="dishYield.cost && dishYield.cost.unpriced.length > 0"
          class="soft small"
        >without {{ dishYield.cost.unpriced.join(', ').toLowerCase() }}: no price yet</span>
      </dd>
    </div>
  </dl>
</template>

<style scoped>
.facts { contain: layout style; margin: 0; display: grid; grid-template-columns: auto minmax(0, max-content) auto; justify-content: start; gap: 4px 22px; }
.facts > div { min-width: 0; }
.facts.rest { content-visibility: auto; contain-intrinsic-size: auto 200px; }
.wide { grid-column: 1 / -1; display: grid; grid-template-columns: 92px minmax(0, 1fr); gap: 8px; align-items: baseline; }
dt { color: var(--ink-soft); font-size: 0.9375rem; }
dd { margin: 0; }
</style>
