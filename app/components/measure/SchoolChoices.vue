<script setup lang="ts">
import { keysOf } from '../../../core/records'
import { computed } from 'vue'
import { CHOICE_VALUES, type Choices } from '../../../core/formulation/dish/choices'
import type { DishCard } from '../../../core/formulation/dish/dish'
import { PREPARATIONS_OF, type Trouble } from '../../../core/formulation/dish/troublesOf'
import { answerText, CHOICE_WORDS, offerText, TROUBLE_WORDS } from '../../../words/choices'
import LabelledChoice from '../LabelledChoice.vue'
import TroubleNote from '../TroubleNote.vue'
import { familyOf } from '../../../core/formulation/family/families'

const props = defineProps<{
  /** Dish in hand. */
  card: DishCard
  /** What cannot work, with what would. */
  troubles: readonly Trouble[]
}>()

const emit = defineEmits<{
  /** Choices were changed. */
  choose: [changes: Partial<Choices>]
}>()

/** Questions that only some dishes ask. */
const asked = computed(() => keysOf(CHOICE_VALUES).filter((key) => {
  const { family, choices, ingredients } = props.card
  const { kind, fresh } = familyOf(family)
  switch (key) {
    case 'preparation': return (PREPARATIONS_OF[family]?.length ?? 0) > 1
    case 'cooking': return kind === 'produce' || choices.preparation === 'cooked-puree' || choices.cooking === 'pressure'
    case 'lots': return choices.preparation === 'grated' || choices.lots
    case 'nuts': return ingredients.some(one => one.part === 'nuts')
    case 'pour': return choices.liquid !== 'none' && !fresh
    case 'roast': return !fresh && choices.preparation !== 'cooked-puree' ? true : choices.roast !== 'none'
    default: return true
  }
}))
const optionsOf = (key: keyof Choices) => (CHOICE_VALUES[key] as readonly (string | boolean)[])
  .filter(value => key !== 'preparation' || (PREPARATIONS_OF[props.card.family] ?? []).includes(value as Choices['preparation']))
  .map(value => ({ value: String(value), label: answerText(key, value) }))
function choose(key: keyof Choices, value: string): void {
  emit('choose', { [key]: key === 'lots' ? value === 'true' : value } as Partial<Choices>)
}
</script>

<template>
  <div class="school">
    <TroubleNote
      v-for="trouble in troubles"
      :key="trouble.code"
      class="trouble"
      :says="`This cannot work. ${TROUBLE_WORDS[trouble.code]}`"
    >
      <p v-if="trouble.offers.length > 0">
        What would: <ElButton
          v-for="(offer, i) in trouble.offers"
          :key="i"
          @click="emit('choose', offer)"
        >
          {{ offerText(offer) }}
        </ElButton>
      </p>
    </TroubleNote>
    <div
      v-memo="[card.choices, asked.join()]"
      class="questions"
    >
      <LabelledChoice
        v-for="key in asked"
        :key="key"
        :asks="CHOICE_WORDS[key].asks"
        :chosen="String(card.choices[key])"
        :options="optionsOf(key)"
        @choose="value => choose(key, value)"
      />
    </div>
  </div>
</template>

<style scoped>
.school { display: grid; gap: 14px; }
.questions { display: grid; grid-template-columns: repeat(auto-fill, minmax(230px, 1fr)); gap: 10px 18px; }
.trouble .el-button { margin: 0 8px 4px 0; }
</style>
