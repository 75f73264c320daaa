<script setup lang="ts">
import { firstBelief } from '../../../core/belief/firstBelief'
import { CONSTANTS } from '../../../core/constants/constants'

const spaced = (id: string): string => id.replace(/([A-Z])/g, ' $1').toLowerCase()
const number = (value: number): string => (Math.abs(value) >= 1e5 || (value !== 0 && Math.abs(value) < 1e-3) ? value.toExponential(2) : String(Number(value.toPrecision(4))))
const drawn = firstBelief().entries.map(one => ({
  name: spaced(one.name), value: number(one.median), unit: one.unit, spread: one.kind === 'factor' ? `${Math.round(100 * one.spread)} %` : `± ${number(one.spread)}`, basis: one.basis,
}))
const fixed = CONSTANTS.map(one => ({ name: spaced(one.id), value: number(one.value), unit: one.unit, spread: one.spread.replaceAll('`', ''), basis: one.basis }))
const columns = (value: string, spread: string) => [['name', 'Number', 170], ['value', value, 90], ['unit', 'Unit', 150], ['spread', spread, 110], ['basis', 'From', 320]] as const
const TABLES = [
  { title: 'Drawn anew in every run', rows: drawn, columns: columns('Middle', 'Spread') },
  { title: 'Held fixed', rows: fixed, columns: columns('Value', 'May be off by') },
]
</script>

<template>
  <div class="numbers">
    <template
      v-for="table in TABLES"
      :key="table.title"
    >
      <h3>{{ table.title }}</h3>
      <ElTable
        :data="table.rows"
        row-key="name"
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
</style>
