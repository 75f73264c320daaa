<script setup lang="ts">
import { firstBelief } from '../../../core/belief/firstBelief'
import { CONSTANTS } from '../../../core/constants/constants'

const spaced = (id: string): string => id.replace(/([A-Z])/g, ' $1').toLowerCase()
const number = (value: number): string => (Math.abs(value) >= 1e5 || (value !== 0 && Math.abs(value) < 1e-3) ? value.toExponential(2) : String(Number(value.toPrecision(4))))
const drawn = firstBelief().entries.map(one => ({
  name: spaced(one.name), value: number(one.median), unit: one.unit, spread: one.kind === 'factor' ? `${Math.round(100 * one.spread)} %` : `± ${number(one.spread)}`, basis: one.basis,
}))
const fixed = CONSTANTS.map(one => ({ name: spaced(one.id), value: number(one.value), unit: one.unit, spread: one.spread.replaceAll('`', ''), basis: one.basis }))
const COLUMNS = {
  drawn: [['name', 'Number', 170], ['value', 'Middle', 90], ['unit', 'Unit', 90], ['spread', 'Spread', 90], ['basis', 'From', 320]],
  fixed: [['name', 'Number', 170], ['value', 'Value', 90], ['unit', 'Unit', 90], ['spread', 'May be off by', 110], ['basis', 'From', 320]],
} as const
</script>

<template>
  <div class="numbers">
    <h3>Drawn anew in every run</h3>
    <ElTable
      :data="drawn"
      row-key="name"
    >
      <ElTableColumn
        v-for="[prop, label, width] in COLUMNS.drawn"
        :key="prop"
        :prop="prop"
        :label="label"
        :min-width="width"
      />
    </ElTable>
    <h3>Held fixed</h3>
    <ElTable
      :data="fixed"
      row-key="name"
    >
      <ElTableColumn
        v-for="[prop, label, width] in COLUMNS.fixed"
        :key="prop"
        :prop="prop"
        :label="label"
        :min-width="width"
      />
    </ElTable>
  </div>
</template>

<style scoped>
.numbers { display: grid; grid-template-columns: minmax(0, 1fr); gap: 8px; }
.el-table { font-size: 0.9375rem; }
</style>
