<script setup lang="ts">
import { computed } from 'vue'
import { gramsText } from '../../composables/format'
import { KJ_PER_KCAL } from '../../../core/materials/composition/energyOf'
import type { WhatComes } from '../../../core/formulation/yield/whatComes'
import { FAT_WORDS } from '../../../words/measure'

const props = defineProps<{
  /** What comes of the dish. */
  comes: WhatComes
  /** The few that are looked at first, or the rest. */
  part: 'first' | 'rest'
  /** Money of the household. */
  currency: string
}>()

const round = (value: number, places = 0): number => Math.round(value * 10 ** places) / 10 ** places
const spread = computed(() => Math.round(props.comes.servingSpread * 100))
const cost = computed(() => {
  const { cost: found } = props.comes
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
      <dd>{{ round(comes.servings) }} <span class="soft">of {{ gramsText(comes.serving.massG) }}</span></dd>
    </div>
    <div>
      <dt>Sweet as</dt>
      <dd>{{ round(comes.sweetness.warm) }} % sugar <span class="soft">warm, {{ round(comes.sweetness.cold) }} % cold</span></dd>
    </div>
    <div>
      <dt>Fat</dt>
      <dd :class="{ danger: comes.fat === 'pools' }">
        {{ FAT_WORDS[comes.fat] }}
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
        {{ round(comes.serving.energyKj / 10) * 10 }} kJ ({{ round(comes.serving.energyKj / KJ_PER_KCAL / 5) * 5 }} kcal), {{ gramsText(comes.serving.fatG) }} fat, {{ gramsText(comes.serving.sugarG) }} sugars, {{ gramsText(comes.serving.fibreG) }} fibre, {{ gramsText(comes.serving.proteinG) }} protein
        <span class="soft small">± {{ spread }} %, an estimate from tables, not medical advice<template v-if="comes.recalled.length > 0">; {{ comes.recalled.join(', ').toLowerCase() }} recalled, unchecked</template></span>
      </dd>
    </div>
    <div class="wide">
      <dt>Allergens</dt>
      <dd>{{ comes.allergens.length === 0 ? 'none of those we list' : comes.allergens.map(one => one.allergen).join(', ') }}</dd>
    </div>
    <div
      v-if="cost"
      class="wide"
    >
      <dt>Cost</dt>
      <dd>
        {{ cost }}
        <span
          v-if="comes.cost && comes.cost.unpriced.length > 0"
          class="soft small"
        >without {{ comes.cost.unpriced.join(', ').toLowerCase() }}: no price yet</span>
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
