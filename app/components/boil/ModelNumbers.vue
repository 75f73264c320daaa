<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'
import { firstBelief } from '../../../core/process/belief/firstBelief'
import { CONSTANTS } from '../../../core/materials/constants/constants'

const spaced = (id: string): string => id.replace(/([A-Z])/g, ' $1').toLowerCase()
const number = (value: number): string => (Math.abs(value) >= 1e5 || (value !== 0 && Math.abs(value) < 1e-3) ? value.toExponential(2) : String(Number(value.toPrecision(4))))
const drawn = firstBelief().entries.map(one => ({
  name: spaced(one.name), value: number(one.median), unit: one.unit, spread: one.kind === 'factor' ? `${Math.round(100 * one.spread)} %` : `± ${number(one.spread)}`, basis: one.basis,
}))
const fixed = CONSTANTS.map(one => ({ name: spaced(one.id), value: number(one.value), unit: one.unit, spread: one.spread.replaceAll('`', ''), basis: one.basis }))
const narrow = useMediaQuery('(max-width: 700px)')
type Column = readonly [prop: string, label: string, width: number]
/** On a narrow screen unit and source stand under what they belong to, and nothing is moved sideways. */
const columns = (value: string, spread: string): readonly Column[] => (narrow.value
  ? [['under', 'Number, and where it is from', 150], ['measured', value, 90], ['spread', spread, 80]]
  : [['name', 'Number', 170], ['value', value, 90], ['unit', 'Unit', 150], ['spread', spread, 110], ['basis', 'From', 320]])
const both = <R extends { readonly name: string, readonly value: string, readonly unit: string, readonly basis: string }>(rows: readonly R[]) => rows.map(row => ({ ...row, under: `${row.name}\n${row.basis}`, measured: `${row.value}\n${row.unit}` }))
const tables = computed(() => [
  { title: 'Drawn anew in every run', rows: both(drawn), columns: columns('Middle', 'Spread') },
  { title: 'Held fixed', rows: both(fixed), columns: columns('Value', 'May be off by') },
])
</script>

<template>
  <div class="numbers">
    <template
      v-for="table in tables"
      :key="table.title"
    >
      <h3>{{ table.title }}</h3>
      <ElTable
        :data="table.rows"
        row-key="name"
        scrollbar-tabindex="0"
      >
        <ElTableColumn
          v-for="[prop, label, width] in table.columns"
          :key="prop"
          :prop="prop"
          :label="label"
          :min-width="width"
        />
      </ElTable>
    </template>
  </div>
</template>

<style scoped>
.numbers { display: grid; grid-template-columns: minmax(0, 1fr); gap: 8px; }
.el-table { font-size: 0.9375rem; }
.el-table :deep(.cell) { white-space: pre-line; }
</style>
