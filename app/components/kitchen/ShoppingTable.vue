<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'
import { gramsText, packagesText } from '../../composables/format'
import type { ShoppingLine } from '../../../core/formulation/store/shopping'

const props = defineProps<{
  /** What to buy. */
  list: readonly ShoppingLine[]
  /** Name of an ingredient. */
  nameOf: (id: string) => string
  /** The list of one dish: it says what is left afterwards, not for which dish it is. */
  ofOne?: boolean
}>()

/** On a narrow screen what it is for stands with its name. */
const narrow = useMediaQuery('(max-width: 700px)')
const rows = computed(() => props.list.map((line) => {
  const dishes = line.dishes.join(', ')
  const name = props.nameOf(line.ingredient)
  return {
    id: line.ingredient, buy: line.packagesG.length > 0 ? packagesText(line.packagesG) : 'enough', needed: gramsText(line.neededG),
    what: narrow.value && !props.ofOne ? `${name}, for ${dishes}` : name,
    both: line.inHouseG > 0 ? `${gramsText(line.neededG)}; ${gramsText(line.inHouseG)} here${props.ofOne ? `, then ${gramsText(line.leftG)}` : ''}` : `${gramsText(line.neededG)}; none here`, inHouse: line.inHouseG > 0 ? gramsText(line.inHouseG) : '–', left: gramsText(line.leftG), dishes,
  }
}))
const WIDE = [['buy', 'Buy', 104], ['what', 'what', 150], ['needed', 'needed', 80], ['inHouse', 'in the house', 90]] as const
/** On a narrow screen nothing is moved sideways. */
const NARROW = [['buy', 'Buy', 88], ['what', 'what', 120], ['both', 'needed', 100]] as const
const columns = computed(() => (narrow.value ? NARROW : WIDE))
const isForDishes = computed(() => !narrow.value && !props.ofOne)
const boldIfBought = ({ columnIndex, rowIndex }: { columnIndex: number, rowIndex: number }): string => (columnIndex === 0 && rows.value[rowIndex]?.buy !== 'enough' ? 'need' : '')
</script>

<template>
  <ElTable
    :data="rows"
    row-key="id"
    empty-text="Nothing is to be bought"
    scrollbar-tabindex="0"
    :cell-class-name="boldIfBought"
  >
    <ElTableColumn
      v-for="[prop, label, width] in columns"
      :key="prop"
      :prop="prop"
      :label="label"
      :min-width="width"
    />
    <ElTableColumn
      v-if="ofOne && !narrow"
      prop="left"
      label="left after"
      min-width="80"
    />
    <ElTableColumn
      v-if="isForDishes"
      prop="dishes"
      label="for"
      min-width="200"
      class-name="soft"
    />
  </ElTable>
</template>

<style scoped>
.el-table :deep(.need) { font-weight: 650; }
</style>
