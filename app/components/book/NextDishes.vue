<script setup lang="ts">
import type { NextDishes } from '../../../contracts/nextDish'
import type { DishCard } from '../../../core/formulation/dish/dish'
import { NEXT_WORDS } from '../../../words/nextDish'
import { calendarDayText, clockText, dayText } from '../../composables/format'
import SmallArch from '../SmallArch.vue'

defineProps<{
  /** Dishes that may be next, the likeliest first, with their cards. */
  dishes: readonly (NextDishes['dishes'][number] & { readonly card: DishCard })[]
}>()

/** More names are left out. */
const NAMES = 2
</script>

<template>
  <div class="dishes">
    <article
      v-for="one in dishes"
      :key="one.id"
      class="dish"
    >
      <NuxtLink :to="`/measure?dish=${one.id}`">
        <span class="stand"><SmallArch
          :stones="one.last?.summary.stones ?? []"
          :keystone-s="one.last?.summary.keystoneS ?? 1"
          :title="one.last ? `The last batch that came right, ${dayText(one.last.startedAt)}` : 'An arch without stones: the first batch fills it'"
        /></span>
        <p class="why">
          {{ NEXT_WORDS[one.why]({ uses: one.uses?.name ?? '', by: one.uses ? calendarDayText(one.uses.lastDay) : '', made: one.made }) }}
        </p>
        <h2>{{ one.card.name }}</h2>
        <p class="soft small">
          {{ one.card.otherNames.slice(0, NAMES).join(' · ') }}
        </p>
        <p>
          {{ one.last ? `turned at ${clockText(one.last.summary.keystoneS ?? 0)}, done at ${clockText(one.last.summary.endS ?? 0)} last time` : one.made > 0 ? 'no batch of it came right yet' : 'your first batch fills this arch' }}
        </p>
        <p
          class="needs"
          :class="{ all: one.missing.length === 0 }"
        >
          {{ one.missing.length === 0 ? 'all in the house' : `to get: ${one.missing.join(', ')}` }}
        </p>
        <span class="stone-button go">Measure it out</span>
      </NuxtLink>
    </article>
  </div>
</template>

<style scoped>
.dishes { display: grid; grid-template-columns: repeat(3, minmax(0, 1fr)); gap: 20px 34px; }
.dish a { display: grid; grid-template-columns: 112px minmax(0, 1fr); grid-template-rows: repeat(5, auto) 1fr; gap: 0 16px; height: 100%; text-decoration: none; align-content: start; }
.stand { grid-row: 1 / 7; align-self: start; display: block; border-bottom: 4px solid var(--ink); }
.why { color: var(--ink-soft); font-weight: 600; font-size: 0.9375rem; }
h2 { font-size: 1.35rem; }
.dish p { line-height: 1.3; }
.why + h2 { margin: 2px 0; }
.needs { font-weight: 600; overflow-wrap: anywhere; }
.needs.all { color: var(--accent); }
.go { grid-column: 1 / -1; margin-top: 12px; justify-self: start; align-self: end; }
.dish:first-child .go { background: var(--accent); border-color: var(--accent-deep); color: var(--on-accent); }
@media (max-width: 1000px) { .dishes { grid-template-columns: minmax(0, 1fr); } }
</style>
