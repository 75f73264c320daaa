<script setup lang="ts">
import { firstBelief } from '../../../core/belief/firstBelief'
import { CONSTANTS } from '../../../core/constants/constants'

const UNCERTAIN = firstBelief().entries
const spaced = (id: string): string => id.replace(/([A-Z])/g, ' $1').toLowerCase()
const number = (value: number): string => (Math.abs(value) >= 1e5 || (value !== 0 && Math.abs(value) < 1e-3) ? value.toExponential(2) : String(Number(value.toPrecision(4))))
</script>

<template>
  <div class="numbers">
    <h3>Drawn anew in every run</h3>
    <div class="scrolls">
      <table>
        <thead>
          <tr>
            <th>Number</th><th>Middle</th><th>Unit</th><th>Spread</th><th>From</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="one in UNCERTAIN"
            :key="one.name"
          >
            <th scope="row">
              {{ spaced(one.name) }}
            </th>
            <td>{{ number(one.median) }}</td><td>{{ one.unit }}</td><td>{{ one.kind === 'factor' ? `${Math.round(100 * one.spread)} %` : `± ${number(one.spread)}` }}</td><td>{{ one.basis }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <h3>Held fixed</h3>
    <div class="scrolls">
      <table>
        <thead>
          <tr>
            <th>Number</th><th>Value</th><th>Unit</th><th>May be off by</th><th>From</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="one in CONSTANTS"
            :key="one.id"
          >
            <th scope="row">
              {{ spaced(one.id) }}
            </th>
            <td>{{ number(one.value) }}</td><td>{{ one.unit }}</td><td>{{ one.spread.replaceAll('`', '') }}</td><td>{{ one.basis }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>

<style scoped>
.numbers { display: grid; gap: 8px; }
.scrolls { overflow-x: auto; }
table { border-collapse: collapse; font-size: 0.9375rem; width: 100%; }
th, td { text-align: left; padding: 4px 14px 4px 0; border-top: 1px solid var(--line); vertical-align: top; font-weight: 400; }
thead th { font-weight: 600; border: 0; }
td:nth-child(2) { white-space: nowrap; }
</style>
